'use client'

import { Link } from '@/ui/frame/Link'
import type { OpenRun } from '@/db/runs/read'
import { dayAndTime } from '@/ui/tables/dates'

/** Pours that were begun and are neither booked nor put aside: go on with them, on any device. */
export function OpenRuns({ runs, zone }: { runs: readonly OpenRun[]; zone: string }) {
  if (runs.length === 0) return null
  return (
    <section className="panel apart" aria-label="Being poured">
      <h2>Being poured</h2>
      {runs.map((r) => (
        <p key={r.id} className="row spread close">
          <span>
            <b>{r.title}</b>{' '}
            <span className="muted">
              begun {dayAndTime(r.begunAt, zone)}, {r.events} {r.events === 1 ? 'step' : 'steps'} noted
            </span>
          </span>
          <Link className="go" href={`/pour/run/${r.id}`}>
            Go on
          </Link>
        </p>
      ))}
    </section>
  )
}
