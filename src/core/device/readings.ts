import { mustBeNumbers } from '../mustBe'
import { Invalid } from '../errors'
import { deltaE00 } from '../colour/deltaE00'
import { xyzToLab } from '../colour/lab'
import { reflectanceToXyz } from '../colour/reflectance'
import type { Triple } from '../colour/srgb'

/** One reading of a colour reader: L*a*b* under D65, and the reflectance in 36 bands where it gives one. */
export interface Reading {
  readonly lab: Triple
  readonly reflectance?: readonly number[] | undefined
}

/** Several readings of one spot, taken together. */
export interface Averaged {
  readonly lab: Triple
  readonly reflectance: readonly number[] | null
  /** Mean ΔE00 of the readings kept to their average. */
  readonly spread: number
  readonly used: number
  readonly rejected: number
}

/** A reading this many times the usual distance from the middle is an outlier (1.4826 × MAD is σ of a normal), */
const OUTLIER = 3 * 1.4826
/** but nothing nearer than this is ever one: a reader's own repeatability. */
const REPEATABILITY = 0.3

const middle = (values: readonly number[]) => {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length

/** The colour of a reading: of its spectrum where it has one. */
export const labOfReading = (r: Reading): Triple => (r.reflectance ? xyzToLab(reflectanceToXyz(r.reflectance)) : r.lab)

/**
 * Averages readings of one spot, those far from the middle left out (median absolute deviation in ΔE00).
 * @throws Invalid where there is none, or they scatter so much that no average means anything
 */
export function averageReadings(readings: readonly Reading[]): Averaged {
  if (readings.length === 0) throw new Invalid('The reader gave nothing. Set it flat on the swatch and read again.')
  mustBeNumbers(
    'What the reader gives',
    readings.flatMap((r) => [...r.lab, ...(r.reflectance ?? [])]),
  )
  const labs = readings.map(labOfReading)
  const centre = [0, 1, 2].map((k) => middle(labs.map((l) => l[k]!))) as Triple
  const distances = labs.map((l) => deltaE00(l, centre))
  const limit = Math.max(REPEATABILITY, OUTLIER * middle(distances))
  const kept = readings.filter((_, i) => distances[i]! <= limit)
  const withSpectrum = kept.every((r) => r.reflectance)
  const reflectance = withSpectrum
    ? kept[0]!.reflectance!.map((_, i) => mean(kept.map((r) => r.reflectance![i]!)))
    : null
  const lab = [0, 1, 2].map((k) => mean(kept.map((r) => labOfReading(r)[k]!))) as Triple
  const spread = mean(kept.map((r) => deltaE00(labOfReading(r), lab)))
  if (spread > 3)
    throw new Invalid(
      'The readings scatter too much to mean anything. Is the swatch dry and even? Hold the reader still and read again.',
    )
  return {
    lab: reflectance ? xyzToLab(reflectanceToXyz(reflectance)) : lab,
    reflectance,
    spread,
    used: kept.length,
    rejected: readings.length - kept.length,
  }
}
