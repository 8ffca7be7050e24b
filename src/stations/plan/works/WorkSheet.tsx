import { Link } from '@/ui/frame/Link'
import { formatMoney } from '@/core/quantity/money'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { PlanWithParts } from '@/db/plans/read'
import type { Piece } from '@/db/pieces/read'
import type { Work } from '@/db/works/read'
import { day } from '@/ui/tables/dates'
import { PrintButton } from './PrintButton'
import { SketchNotCopy } from './SketchNotCopy'
import { WorkPlans } from './WorkPlans'
import styles from './works.module.css'

/**
 * A work on one sheet that prints: sketches side by side with their colours, the word they are agreed on with, and the
 * plans they become.
 */
export function WorkSheet({
  work,
  plans,
  pieces,
  techniques,
  currency,
  zone,
}: {
  work: Work
  plans: readonly PlanWithParts[]
  pieces: readonly Piece[]
  techniques: TechniqueBook
  currency: string
  zone: string
}) {
  const sketches = plans.filter((p) => p.kind !== 'final')
  const finals = plans.filter((p) => p.kind === 'final')
  return (
    <section className="panel" aria-label="Sheet of the work">
      <div className="head">
        <h1>
          {work.title}
          <span className="sub">
            {[
              work.kind,
              work.forWhom && `for ${work.forWhom}`,
              work.dueOn && `due ${day(`${work.dueOn}T12:00:00Z`, zone)}`,
              work.priceMinor !== null && formatMoney(work.priceMinor, currency),
            ]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </h1>
        <PrintButton />
        <Link className="go second" href={`/plan/new?work=${work.id}`}>
          New plan in it
        </Link>
      </div>
      <WorkPlans
        title="Sketches"
        plans={sketches}
        pieces={pieces}
        techniques={techniques}
        empty="No sketch yet. A sketch is a plan of a small surface: agree on its style and colours, then scale it up."
        scale
      />
      {work.kind === 'commission' || work.agreedOn ? (
        <div className={styles.agreed}>
          <SketchNotCopy work={work} zone={zone} />
          <p className={styles.sign}>Date and name</p>
        </div>
      ) : null}
      <WorkPlans
        title="What it becomes"
        plans={finals}
        pieces={pieces}
        techniques={techniques}
        empty="Nothing final is planned yet."
      />
    </section>
  )
}
