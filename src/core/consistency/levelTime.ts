import { Invalid } from '../errors'

/** How a level time is read. */
export const READING_WAYS = ['stopwatch', 'flow cup', 'by eye', 'run'] as const
export type ReadingWay = (typeof READING_WAYS)[number]

/** A band of consistency: how a mound of the mix behaves, from `fromS` seconds of level time up. */
export interface Band {
  readonly name: string
  /** Level time from which a mix is in this band, s. */
  readonly fromS: number
}

/** Thickest first. Start values of Fika; names and seconds are the studio's to change. */
export const START_BANDS: readonly Band[] = [
  { name: 'stands', fromS: 8 },
  { name: 'sits', fromS: 4 },
  { name: 'sinks', fromS: 2 },
  { name: 'melts', fromS: 1 },
  { name: 'traces', fromS: 0.3 },
  { name: 'vanishes', fromS: 0 },
]

/** The band of a level time in s. */
export const bandOf = (levelTimeS: number, bands: readonly Band[] = START_BANDS): Band =>
  bands.find((b) => levelTimeS >= b.fromS) ?? bands.at(-1)!

/**
 * Bands as typed by a studio, thickest first.
 * @throws Invalid where a name is missing, a second is below zero, they do not fall, or the last is not 0
 */
export function checkBands(bands: readonly Band[]): readonly Band[] {
  if (bands.length < 2) throw new Invalid('Keep at least two bands.', 'bands')
  bands.forEach((b, i) => {
    if (!b.name.trim()) throw new Invalid('Give every band a name.', 'bands')
    if (!(b.fromS >= 0 && Number.isFinite(b.fromS)))
      throw new Invalid(`Type the seconds of “${b.name}” as a number, like 2.`, 'bands')
    if (i > 0 && b.fromS >= bands[i - 1]!.fromS)
      throw new Invalid(`“${b.name}” must begin below “${bands[i - 1]!.name}”: thickest first.`, 'bands')
  })
  if (bands.at(-1)!.fromS !== 0) throw new Invalid('The thinnest band begins at 0 seconds.', 'bands')
  return bands
}

/** One try by hand differs from the next by this much of it, and by this much of a second: start values of Fika. */
const TRY_SIGMA = 0.12
const HAND_S = 0.15
/** σ of ln t of one try: what is short is timed badly. @param levelTimeS s, above 0 */
export const trySigma = (levelTimeS: number) => Math.hypot(TRY_SIGMA, HAND_S / levelTimeS)

export interface Timed {
  /** Median of the tries, s. */
  readonly levelTimeS: number
  /** Largest less smallest, as a share of the median. */
  readonly spread: number
  /** How sure the median is, σ of ln t. */
  readonly sigma: number
  readonly tries: number
}

/**
 * Several tries of one mound taken together: median, spread, and how sure that is.
 * @param triesS seconds, each above 0
 * @throws Invalid where there is none, or one is not a time
 */
export function timed(triesS: readonly number[]): Timed {
  if (triesS.length === 0) throw new Invalid('Time the mound at least once.', 'tries')
  if (triesS.some((t) => !(t > 0 && t < 600)))
    throw new Invalid('A level time lies between 0 and 600 seconds. Time it again.', 'tries')
  const sorted = [...triesS].sort((a, b) => a - b)
  const half = sorted.length >> 1
  const levelTimeS = sorted.length % 2 ? sorted[half]! : Math.sqrt(sorted[half - 1]! * sorted[half]!)
  const logs = triesS.map(Math.log)
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length
  // Three tries say little about their own noise: it counts as one more sample than they are, of the usual size.
  const squares = logs.reduce((s, l) => s + (l - mean) ** 2, 0)
  const one = Math.sqrt((squares + 3 * trySigma(levelTimeS) ** 2) / (logs.length - 1 + 3))
  return {
    levelTimeS,
    spread: (sorted.at(-1)! - sorted[0]!) / levelTimeS,
    sigma: one / Math.sqrt(logs.length),
    tries: logs.length,
  }
}
