const DAY = 86_400_000

export interface Rhythm {
  /** Median days from one offer to the next. */
  readonly everyDays: number
  readonly nextAt: Date
}

/**
 * The usual rhythm of a paint's offers, from the days they began.
 * @returns undefined with fewer than three offers: two are no rhythm
 */
export function offerRhythm(began: readonly Date[], now: Date): Rhythm | undefined {
  const days = [...began].map((d) => d.getTime()).sort((a, b) => a - b)
  if (days.length < 3) return undefined
  const gaps = days
    .slice(1)
    .map((d, i) => (d - days[i]!) / DAY)
    .sort((a, b) => a - b)
  const half = gaps.length >> 1
  const everyDays = Math.round(gaps.length % 2 ? gaps[half]! : (gaps[half - 1]! + gaps[half]!) / 2)
  if (everyDays < 1) return undefined
  let next = days.at(-1)! + everyDays * DAY
  while (next < now.getTime()) next += everyDays * DAY
  return { everyDays, nextAt: new Date(next) }
}

/**
 * How much to stock until the next offer.
 * @param usedUl used over `overDays`
 * @returns whole containers of `sizeUl` to buy now, at the pace of late
 */
export function stockUntil(
  next: Date,
  now: Date,
  usedUl: number,
  overDays: number,
  onHandUl: number,
  sizeUl: number,
): { needUl: number; containers: number } {
  const days = Math.max(0, (next.getTime() - now.getTime()) / DAY)
  const needUl = Math.max(0, Math.round((usedUl / overDays) * days) - onHandUl)
  return { needUl, containers: Math.ceil(needUl / sizeUl) }
}

/** Days without use after which a paint that is owned counts as idle. Start value of Fika. */
export const IDLE_DAYS = 90
