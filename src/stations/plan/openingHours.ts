import type { Place } from '@/core/schedule/backwards'
import type { DryingPlace, Room } from '@/db/room/read'
import { weekdayOf } from '@/ui/tables/dates'

const HOUR = 3_600_000

/** Whether the studio is open at a time; remembered by the hour, because it is asked a thousand times. */
export function openingHours(room: Room, zone: string): (at: number) => boolean {
  const closed = new Set(room.closedWeekdays)
  if (closed.size === 0) return () => true
  const known = new Map<number, boolean>()
  return (at) => {
    const hour = Math.floor(at / HOUR)
    let open = known.get(hour)
    if (open === undefined) {
      open = !closed.has(weekdayOf(at, zone))
      known.set(hour, open)
    }
    return open
  }
}

export const placesOf = (places: readonly DryingPlace[]): Place[] =>
  places.map((p) => ({ id: p.id, sizeMm: [p.lengthMm, p.widthMm], spots: p.spots }))
