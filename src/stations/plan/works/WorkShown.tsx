import type { TechniqueBook } from '@/core/technique/techniques'
import type { Piece } from '@/db/pieces/read'
import type { PlanWithParts } from '@/db/plans/read'
import type { Work } from '@/db/works/read'
import { day } from '@/ui/tables/dates'
import { SketchNotCopy } from './SketchNotCopy'
import { WorkPlans } from './WorkPlans'
import styles from './works.module.css'

/** A work as a client sees it by a link: its sketches and what was agreed on, and nothing of the studio besides. */
export function WorkShown({
  studioName,
  work,
  plans,
  pieces,
  techniques,
  zone,
  endsAt,
  photoPath,
}: {
  studioName: string
  work: Work
  plans: readonly PlanWithParts[]
  pieces: readonly Piece[]
  techniques: TechniqueBook
  zone: string
  endsAt: string
  photoPath: (id: string) => string
}) {
  return (
    <main className={styles.shown}>
      <div className="head">
        <h1>
          {work.title} <span className="sub">{studioName}</span>
        </h1>
      </div>
      <section className="panel" aria-label="Sketches">
        <WorkPlans
          title="Sketches"
          plans={plans.filter((p) => p.kind !== 'final')}
          pieces={pieces}
          techniques={techniques}
          empty="There is no sketch yet. Look again in a few days."
          open={false}
          photoPath={photoPath}
        />
        <div className={styles.agreed}>
          <SketchNotCopy work={work} zone={zone} />
        </div>
        <p className="muted">This link shows these sketches until {day(endsAt, zone)}.</p>
      </section>
    </main>
  )
}
