import type { TourSpot } from '../run/events'

/** When a piece is looked at: at once, after an hour, the next day, dry, and again later. */
export const MOMENTS = ['wet', 'hour', 'day', 'dry', 'month', 'year'] as const
export type Moment = (typeof MOMENTS)[number]

/** Those a piece asks for itself. */
export const LOOK_MOMENTS = ['hour', 'day', 'dry', 'month', 'year'] as const
export type LookMoment = (typeof LOOK_MOMENTS)[number]

export const MOMENT_WORDS: Readonly<Record<Moment, string>> = {
  wet: 'wet',
  hour: 'after an hour',
  day: 'the next day',
  dry: 'dry',
  month: 'after a month',
  year: 'after a year',
}

/** Whether colours are seen as they stay: pearls rise within the hour, colours settle when it is dry (trade.md). */
export const isDryMoment = (m: Moment) => m === 'dry' || m === 'month' || m === 'year'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS

/**
 * When the looks after a pour are due, ms since 1970: an hour, a day, when it is dry by its film, a month, a year.
 * @param throughHours as `dryingHours` says it
 */
export function looksDueAfter(pouredAt: number, throughHours: number): Record<LookMoment, number> {
  return {
    hour: pouredAt + HOUR_MS,
    day: pouredAt + DAY_MS,
    dry: pouredAt + Math.max(25, throughHours) * HOUR_MS,
    month: pouredAt + 30 * DAY_MS,
    year: pouredAt + 365 * DAY_MS,
  }
}

/** How much there is of a fault. */
export const MUCH_WORDS = ['', 'a little', 'some', 'much'] as const

/** A fault as it was seen: where, and how much (1 a little, 2 some, 3 much). */
export interface SeenFault {
  readonly fault: string
  readonly spots: readonly TourSpot[]
  readonly much: number
}

/** One look at a piece. */
export interface Look {
  readonly moment: Moment
  readonly at: string
  readonly words: string
  readonly rating: number | null
  readonly weak: readonly TourSpot[]
  readonly best: TourSpot | null
  readonly faults: readonly SeenFault[]
  readonly revision: number
}
