import { NotFound } from '@/core/errors'
import type { Tx } from '../base/withStudio'
import type { CupInput, PlaceInput, RoomInput } from './schema'

/** Keeps a cup size; the same id again changes it. */
export const saveCup = (tx: Tx, c: CupInput) =>
  tx.q(
    `insert into cup_size (studio_id, id, name, size_ul) values ($1, $2, $3, $4)
     on conflict (studio_id, id) do update set name = excluded.name, size_ul = excluded.size_ul, archived_at = null`,
    [tx.studioId, c.id, c.name, c.sizeUl],
  )

/** Keeps a level place; the same id again changes it. */
export const savePlace = (tx: Tx, p: PlaceInput) =>
  tx.q(
    `insert into drying_place (studio_id, id, name, length_mm, width_mm, spots) values ($1, $2, $3, $4, $5, $6)
     on conflict (studio_id, id) do update set name = excluded.name, length_mm = excluded.length_mm,
       width_mm = excluded.width_mm, spots = excluded.spots, archived_at = null`,
    [tx.studioId, p.id, p.name, p.lengthMm, p.widthMm, p.spots],
  )

/** Takes a cup or a place off the list. @throws NotFound */
export async function removeFromRoom(tx: Tx, what: 'cup' | 'place', id: string): Promise<void> {
  const done =
    what === 'cup'
      ? await tx.q('update cup_size set archived_at = now() where studio_id = $1 and id = $2 returning 1', [
          tx.studioId,
          id,
        ])
      : await tx.q('update drying_place set archived_at = now() where studio_id = $1 and id = $2 returning 1', [
          tx.studioId,
          id,
        ])
  if (done.length === 0) throw new NotFound(what)
}

/** Keeps the days and the air of the room. */
export const saveRoom = (tx: Tx, r: RoomInput) =>
  tx.q(
    `insert into room (studio_id, closed_weekdays, celsius, humidity) values ($1, $2, $3, $4)
     on conflict (studio_id) do update set closed_weekdays = excluded.closed_weekdays, celsius = excluded.celsius,
       humidity = excluded.humidity`,
    [tx.studioId, [...new Set(r.closedWeekdays)].sort(), r.celsius, r.humidity],
  )
