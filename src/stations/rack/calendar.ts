import ical from 'ical-generator'
import type { RackDate } from './find'

/**
 * Rest ends and keep-untils as a calendar (RFC 5545). Each has a fixed identity, so that bringing it in again moves
 * what has changed and doubles nothing.
 * @param origin where the app is reached; each entry links to its bottle
 */
export function calendarOf(dates: readonly RackDate[], studioName: string, origin: string): string {
  const calendar = ical({ name: `${studioName}: rack`, prodId: { company: 'Fika', product: 'Rack' } })
  for (const { id, label, kind, at, todo } of dates) {
    const rest = kind === 'rest'
    calendar.createEvent({
      id: `${id}-${kind}@fika`,
      start: new Date(at),
      ...(rest ? { end: new Date(at + 15 * 60_000) } : { allDay: true }),
      summary: rest ? `${label} has rested` : `${label}: use it by today`,
      description: todo,
      url: `${origin}/rack/${id}`,
    })
  }
  return calendar.toString()
}
