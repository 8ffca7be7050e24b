import { USUAL_CLIMATE } from '@/core/schedule/drying'
import type { Tx } from '../base/withStudio'

/** A cup of the studio's list, to the brim. */
export interface CupSize {
  readonly id: string
  readonly name: string
  readonly sizeUl: number
}

/** A level place, or several alike. */
export interface DryingPlace {
  readonly id: string
  readonly name: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly spots: number
}

export interface Room {
  /** 1 Monday … 7 Sunday. */
  readonly closedWeekdays: readonly number[]
  readonly celsius: number
  readonly humidity: number
}

/** Cups of the studio, smallest first. */
export const cupSizes = (tx: Tx): Promise<CupSize[]> =>
  tx.q<CupSize>(
    'select id, name, size_ul as "sizeUl" from cup_size where studio_id = $1 and archived_at is null order by size_ul, name limit 200',
    [tx.studioId],
  )

/** Level places of the studio, largest first. */
export const dryingPlaces = (tx: Tx): Promise<DryingPlace[]> =>
  tx.q<DryingPlace>(
    `select id, name, length_mm as "lengthMm", width_mm as "widthMm", spots from drying_place
     where studio_id = $1 and archived_at is null order by length_mm * width_mm desc, name limit 200`,
    [tx.studioId],
  )

/** Days and air of the room; as most rooms are where nobody said anything. */
export async function roomFacts(tx: Tx): Promise<Room> {
  const [row] = await tx.q<Room>(
    'select closed_weekdays as "closedWeekdays", celsius, humidity from room where studio_id = $1',
    [tx.studioId],
  )
  return row ?? { closedWeekdays: [], ...USUAL_CLIMATE }
}
