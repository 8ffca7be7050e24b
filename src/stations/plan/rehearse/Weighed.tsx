import { Button } from 'antd'
import { WEIGHED_PIECES, type Corrected } from '@/core/tilt/corrected'
import { AS_READ, type Correction } from '@/core/tilt/start'
import type { KeptCorrection } from '@/db/rehearsals/corrections'
import { day } from '@/ui/tables/dates'
import styles from './rehearse.module.css'

const percent = (share: number) => `${Math.round(100 * share)}\u00a0%`
const points = (share: number) => `${Math.round(100 * share)}\u00a0points`

/** What a correction says of paint and edge, in words. */
function says({ nuFactor, lipMm }: Correction): string {
  const paint =
    Math.abs(Math.log(nuFactor)) < 0.03
      ? 'paint ran as its bottles read'
      : nuFactor > 1
        ? `paint ran ${nuFactor.toFixed(1)}\u00a0× as thick as its bottles read`
        : `paint ran ${(1 / nuFactor).toFixed(1)}\u00a0× as thin as its bottles read`
  const holds =
    Math.abs(lipMm / AS_READ.lipMm - 1) < 0.03 ? 'held as usual, until paint stood' : 'held until paint stood'
  return `${paint} and an edge ${holds} ${lipMm.toFixed(1)}\u00a0mm`
}

/** How rehearsals of a technique are corrected by what weighed pieces kept, and what more of them say. */
export function Weighed({
  technique,
  pieces,
  correction,
  found,
  zone,
  busy,
  onHold,
  onKeep,
  onDrop,
}: {
  technique: string
  /** Weighed pieces that were poured as they were rehearsed. */
  pieces: number
  correction: KeptCorrection | null
  /** What they were just found to say. */
  found: Corrected | undefined
  zone: string
  busy: boolean
  onHold: () => void
  onKeep: () => void
  onDrop: () => void
}) {
  return (
    <section className={`panel ${styles.weighed}`} aria-label="As weighed">
      <h2>As weighed</h2>
      {correction ? (
        <p data-testid="correction">
          {technique} is corrected by {correction.pieces} weighed pieces since {day(correction.madeAt, zone)}: it is
          rehearsed as if {says(correction)}.
        </p>
      ) : null}
      {found ? (
        <ul className={styles.held} aria-label="What stayed of each piece">
          {found.pieces.map((p, i) => (
            <li key={i}>
              <span>
                {percent(p.weighed)} weighed, {percent(p.asRead)} as read, {percent(p.corrected)} corrected
              </span>
              <div className={styles.track} aria-hidden>
                <i style={{ width: `${100 * p.weighed}%` }} />
                <b className={styles.asRead} style={{ left: `${100 * p.asRead}%` }} />
                <b className={styles.corrected} style={{ left: `${100 * p.corrected}%` }} />
              </div>
            </li>
          ))}
        </ul>
      ) : null}
      {found ? (
        <p data-testid="found">
          <b>
            {points(found.offAsRead)} off as read, {points(found.offCorrected)} corrected.
          </b>{' '}
          They kept about what they would if {says(found)}. A steeper hand than was rehearsed looks the same.
        </p>
      ) : null}
      {pieces < WEIGHED_PIECES.least ? (
        <p className="muted">
          {WEIGHED_PIECES.least} pieces of {technique} that were rehearsed, poured and weighed correct its rehearsals;{' '}
          {pieces === 0 ? 'there is none yet' : `there ${pieces === 1 ? 'is' : 'are'} ${pieces}`}.
        </p>
      ) : null}
      <div className={styles.buttons}>
        {pieces >= WEIGHED_PIECES.least ? (
          <Button disabled={busy} onClick={onHold}>
            Hold against {pieces} weighed
          </Button>
        ) : null}
        {found ? (
          <Button type="primary" disabled={busy} onClick={onKeep}>
            Rehearse so from now on
          </Button>
        ) : null}
        {correction ? (
          <Button disabled={busy} onClick={onDrop}>
            As read again
          </Button>
        ) : null}
      </div>
    </section>
  )
}
