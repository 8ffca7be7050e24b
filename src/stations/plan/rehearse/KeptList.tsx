import { Button } from 'antd'
import type { PlannedSurface } from '@/core/plan/design'
import type { KeptRehearsal } from '@/db/rehearsals/read'
import { dayAndTime } from '@/ui/tables/dates'
import { RehearsalPicture } from '@/ui/pictures/RehearsalPicture'
import { ToldLine } from '@/ui/tables/ToldLine'
import styles from './rehearse.module.css'

/** The rehearsals that were kept with this plan, with their pictures. */
export function KeptList({
  kept,
  surfaces,
  here,
  zone,
  onReplay,
  onRemove,
}: {
  kept: readonly KeptRehearsal[]
  surfaces: readonly PlannedSurface[]
  /** The surface that is on the board. */
  here: string
  zone: string
  onReplay: (r: KeptRehearsal) => void
  onRemove: (id: string) => void
}) {
  return (
    <section className="panel" aria-label="Kept rehearsals">
      <h2>Kept with the plan</h2>
      {kept.length === 0 ? <p className="muted">None yet. What is kept here is shown on the day of the pour.</p> : null}
      <ul className={styles.kept}>
        {kept.map((r) => (
          <li key={r.id}>
            <RehearsalPicture rehearsal={r} />
            <p>
              {surfaces.length > 1 ? <b>{surfaces.find((s) => s.id === r.surfaceId)?.name || 'A surface'} · </b> : null}
              <ToldLine told={r.told} /> <span className="muted">{dayAndTime(Date.parse(r.madeAt), zone)}</span>
            </p>
            <div className={styles.buttons}>
              <Button disabled={r.surfaceId !== here} onClick={() => onReplay(r)}>
                Run this hand
              </Button>
              <Button onClick={() => onRemove(r.id)}>Take away</Button>
            </div>
          </li>
        ))}
      </ul>
    </section>
  )
}
