/** One reading of a scale: gross grams (its own tare added back), and when, ms. */
export interface Weight {
  readonly grams: number
  readonly atMs: number
  /** What the scale itself says of it. */
  readonly stable: boolean
}

/** Readings within this are one weight: three steps of a kitchen scale, or a thousandth of the load. */
export const steadyG = (resolutionG: number, grams: number) => Math.max(3 * resolutionG, 0.001 * Math.abs(grams))
/** A weight has to stand this long to count, ms. */
export const STEADY_MS = 600

/**
 * Whether the latest readings stand still: for `STEADY_MS` none is further from the others than the scale can tell.
 * The scale's own word is not enough, a slow pour looks steady to some.
 * @param readings oldest first
 * @returns their median, or undefined while it moves
 */
export function settled(readings: readonly Weight[], resolutionG: number): number | undefined {
  const last = readings.at(-1)
  if (!last) return undefined
  const recent = readings.filter((r) => r.atMs >= last.atMs - STEADY_MS)
  const oldest = readings.find((r) => r.atMs <= last.atMs - STEADY_MS)
  if (!oldest || recent.length < 3) return undefined
  const grams = recent.map((r) => r.grams).sort((a, b) => a - b)
  const middle = grams[grams.length >> 1]!
  return grams.at(-1)! - grams[0]! <= steadyG(resolutionG, middle) ? middle : undefined
}

/** Less than this is not an addition: a touch of the cup, a draught. */
export const leastAdditionG = (resolutionG: number) => Math.max(0.3, 3 * resolutionG)

/**
 * What has been added once the weight stands again.
 * @param standsG the weight as it stands, see `settled`; undefined while it moves
 * @param bookedG gross weight up to which everything is booked
 * @returns grams added; undefined while it moves, or where nothing was added (something taken off is no addition)
 */
export function additionOf(standsG: number | undefined, resolutionG: number, bookedG: number): number | undefined {
  // A scale that shows no number shows nothing.
  if (standsG === undefined || !Number.isFinite(standsG - bookedG)) return undefined
  const added = standsG - bookedG
  return added >= leastAdditionG(resolutionG) ? added : undefined
}

/**
 * The weight up to which everything is booked after something was added without it (typed, counted, by sight).
 * @param standsG the weight as it stands; null while it moves
 * @param bookedG gross weight up to which everything was booked before; null: nothing was tared yet
 * @returns undefined while it moves, and where more than half is missing: the cup was lifted, and comes back
 */
export const stillOn = (standsG: number | null, bookedG: number | null): number | undefined =>
  standsG === null || !Number.isFinite(standsG) || (bookedG !== null && standsG < bookedG / 2) ? undefined : standsG

/** What was taken out of the cup again, g: less than a lift, more than nothing; undefined where nothing was. */
export function removalOf(standsG: number | null, resolutionG: number, bookedG: number | null): number | undefined {
  if (bookedG === null || stillOn(standsG, bookedG) === undefined) return undefined
  const removed = bookedG - standsG!
  return removed >= leastAdditionG(resolutionG) ? removed : undefined
}

/** Said where a weight is asked for before it stands. */
export const STILL_MOVING = 'The scale is still moving. Hands off, then tap again.'
