import ical from 'ical-generator'
import type { Scheduled } from '@/core/schedule/backwards'

const DAY = 86_400_000

/**
 * Every step of every open plan as a calendar (RFC 5545). Each has a fixed identity, so that bringing it in again moves
 * what has changed and doubles nothing.
 * @param origin where the app is reached; each entry links to its plan
 */
export function planCalendar(
  scheduled: readonly Scheduled[],
  titleOf: (plan: string) => string,
  studioName: string,
  origin: string,
): string {
  const calendar = ical({ name: `${studioName}: plans`, prodId: { company: 'Fika', product: 'Plan' } })
  for (const s of scheduled)
    for (const step of s.steps)
      calendar.createEvent({
        id: `${s.id}-${step.key.replaceAll(' ', '-')}@fika`,
        start: new Date(step.start),
        end: new Date(Math.max(step.end, step.start + 15 * 60_000)),
        allDay: step.end - step.start > 2 * DAY,
        summary: `${titleOf(s.id)}: ${step.key}`,
        description:
          step.latest === null
            ? ''
            : `At the latest ${new Date(step.latest).toISOString().slice(0, 16).replace('T', ' ')} UTC.`,
        url: `${origin}/plan/${s.id}`,
      })
  return calendar.toString()
}
