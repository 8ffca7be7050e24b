'use client'

import { Checkbox, Input } from '@/ui/forms/still'
import type { Scheduled } from '@/core/schedule/backwards'
import { PLAN_STEPS, type PlanStep } from '@/core/schedule/planSteps'
import { shortDay } from '@/ui/tables/dates'
import { Notice } from '@/ui/frame/Notice'
import type { DryingPlace } from '@/db/room/read'
import type { Draft } from './draft'
import { spanText } from './spanText'
import styles from './desk.module.css'

/** Every step with its days: when it begins, the latest it may, how long it takes, and a tick when it is done. */
export function DatesPanel({
  draft,
  dates,
  zone,
  places,
  change,
}: {
  draft: Draft
  dates: Scheduled | undefined
  zone: string
  places: readonly DryingPlace[]
  change: (part: Partial<Draft>) => void
}) {
  const done = new Set(draft.done)
  const place = dates?.spots
    .map((s) => `${s.count} on ${places.find((p) => p.id === s.place)?.name ?? 'a place'}`)
    .join(', ')
  const shown = PLAN_STEPS.filter((k) => done.has(k) || dates?.steps.some((s) => s.key === k))
  const toggle = (key: PlanStep, isDone: boolean) =>
    change({ done: isDone ? [...draft.done, key] : draft.done.filter((k) => k !== key) })
  return (
    <section className="panel" aria-label="Dates">
      <h2>Dates</h2>
      {dates && dates.lateMs > 0 ? (
        <Notice kind="warning">
          {spanText(dates.lateMs)} late, even when it begins now. {whatGives(draft)}
        </Notice>
      ) : null}
      {dates?.homeless ? (
        <Notice kind="warning">
          No level place is free and large enough for all pieces. Add one to the room, choose another day, or pour them
          one after the other.
        </Notice>
      ) : null}
      <table className="sheet">
        <thead>
          <tr>
            <th>Done</th>
            <th>Step</th>
            <th>From</th>
            <th>Latest</th>
            <th>Hours</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((key) => {
            const at = dates?.steps.find((s) => s.key === key)
            return (
              <tr key={key}>
                <td>
                  <Checkbox
                    className="big-check"
                    aria-label={`${key} is done`}
                    checked={done.has(key)}
                    onChange={(e) => toggle(key, e.target.checked)}
                  />
                </td>
                <td>{key}</td>
                <td className={styles.day}>{at ? shortDay(at.start, zone) : ''}</td>
                <td className={styles.day}>{at?.latest ? shortDay(at.latest, zone) : ''}</td>
                <td>
                  <Input
                    aria-label={`Hours of ${key}`}
                    className="w70"
                    value={draft.hours[key] ?? ''}
                    placeholder={at ? String(Math.round((at.end - at.start) / 3_600_000)) : ''}
                    onChange={(e) => change({ hours: { ...draft.hours, [key]: e.target.value } })}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <p className="muted fine">
        {place ? `Dries level: ${place}. ` : ''}Drying by film and room air; waits are start values of Fika. Finishes by
        their own sheet.
      </p>
    </section>
  )
}

function whatGives({ finish }: Draft): string {
  if (finish === 'resin') return 'Varnish instead of resin, a thinner film, or a later day would give.'
  if (finish === 'varnish') return 'No varnish, a thinner film, or a later day would give.'
  return 'A thinner film, or a later day would give.'
}
