import ical from 'ical-generator'
import { MOMENT_WORDS } from '@/core/piece/looks'
import type { LookToTake } from '@/db/pieces/read'
import type { RackDate } from './find'

/**
 * Rest ends, keep-untils and looks at pieces as a calendar (RFC 5545). Each has a fixed identity, so that bringing it in again moves
 * what has changed and doubles nothing.
 * @param origin where the app is reached; each entry links to its bottle
 */
export function calendarOf(
  dates: readonly RackDate[],
  looks: readonly LookToTake[],
  studioName: string,
  origin: string,
): string {
  const calendar = ical({ name: `${studioName}: what to do`, prodId: { company: 'Fika', product: 'What to do' } })
  for (const l of looks)
    calendar.createEvent({
      id: `${l.pieceId}-${l.moment}@fika`,
      start: new Date(l.dueAt),
      end: new Date(Date.parse(l.dueAt) + 15 * 60_000),
      summary: `Look at ${l.title} ${MOMENT_WORDS[l.moment]}`,
      description: 'Four corners, four sides, the middle, the best spot; light raked across for shine.',
      url: `${origin}/wall/${l.pieceId}/look/${l.moment}`,
    })
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
