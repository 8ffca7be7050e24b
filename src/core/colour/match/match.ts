import { Invalid } from '../../errors'
import { DARKEST, reflectanceToXyz, type Reflectance } from '../reflectance'
import { mixReflectance, type Optics } from '../kubelkaMunk'
import { xyzToLab } from '../lab'
import { inMetric, localMetric } from '../localMetric'
import type { Triple } from '../srgb'
import { metricByXyz, paletteOf, type Palette } from './palette'
import { polish, refine, type Aim, type Refined } from './refine'
import { pullsAt, screen, setsHolding, type SetSize } from './screen'
import { betterParts, everyParts, wholeParts, type WholeParts } from './wholeParts'

export interface MatchWish {
  /** Up to how many paints; 1–4. */
  readonly most: 1 | 2 | 3 | 4
  /** Indices of paints that must be in it; at most `most`. */
  readonly musts?: readonly number[]
  /** Largest whole part, 1–100; 10 where nothing is said. */
  readonly largestPart?: number
}

export interface Matched {
  /** Best amounts by volume, nearest first. */
  readonly exact: readonly Refined[]
  /** In whole parts, nearest first. */
  readonly whole: readonly WholeParts[]
}

/** How many sets of one size are kept by the screen, polished, worked out in whole parts and stepped from, by size. */
const KEEP = 300
const POLISHED = [0, 20, 60, 120, 120] as const
const WORKED_OUT = [0, 40, 120, 320, 320] as const
/** How many of those are stepped from by single parts. */
const STEPPED = 90
/** Up to how many ratios of all sets of a size together, and of one of the best few sets, all of them are tried. */
const EVERY = 60_000
const EVERY_OF_ONE = 2000
const COUNTED = 24
/** More parts than this nobody measures. */
const LARGEST_PART = 100
/** Beyond this the best is not there yet, and the slow search starts. */
const FAR = 0.3

/** What share of a size's work is done after the first pass, and after each of those that look anew: it only grows. */
const PASSES = [0.6, 0.75, 0.9]
/** How much of the whole search the sets of a size are, roughly. */
const WORK = [0, 1, 4, 20, 25] as const

/** What a reflectance is as an aim. */
export function aimOf(target: Reflectance): Aim {
  const xyz = reflectanceToXyz(target.map((r) => Math.max(r, DARKEST)))
  return { lab: xyzToLab(xyz), xyz, byXyz: metricByXyz(xyz), root: xyz.map(Math.cbrt) as Triple }
}

/**
 * Formulas of up to four paints that come nearest to a target under D65. Sets of one size are searched by themselves,
 * whatever larger ones are allowed, so that allowing more never finds less.
 * @param target reflectance, 36 bands
 * @param paints optics of the paints allowed, at least one
 * @throws Invalid where there is no paint, more must be in it than may, one that must be is not there, or the largest
 *   part is out of range
 */
export function* matchSteps(
  target: Reflectance,
  paints: readonly Optics[],
  wish: MatchWish,
): Generator<number, Matched> {
  const musts = [...new Set(wish.musts ?? [])]
  if (paints.length === 0) throw new Invalid('There is no paint to match with. Allow some paints, or bring some in.')
  if (musts.some((m) => !(m in paints)))
    throw new Invalid('A paint that must be in it is not among those allowed. Allow it, or leave it out.')
  if (musts.length > wish.most)
    throw new Invalid(
      `${musts.length} paints must be in it and at most ${wish.most} may. Allow more paints, or ask for fewer.`,
    )
  const largestPart = wish.largestPart ?? 10
  if (!Number.isInteger(largestPart) || largestPart < 1 || largestPart > LARGEST_PART)
    throw new Invalid(`Parts go from 1 to ${LARGEST_PART}. Choose the largest within that.`)
  const search: OneSize = { target, paints, palette: paletteOf(paints), aim: aimOf(target), musts, largestPart }
  const sizes = ([1, 2, 3, 4] as const).filter((n) => n >= Math.max(1, musts.length) && n <= wish.most)
  const exact: Refined[] = []
  const whole: WholeParts[] = []
  const work = sizes.reduce((sum, n) => sum + WORK[n], 0)
  let done = 0
  for (const size of sizes) {
    const found = yield* within(ofSize(search, size), done / work, WORK[size] / work)
    exact.push(...found.exact)
    whole.push(...found.whole)
    done += WORK[size]
  }
  return { exact: exact.sort(byDeltaE), whole: whole.sort(byDeltaE) }
}

const byDeltaE = (a: { deltaE: number }, b: { deltaE: number }) => a.deltaE - b.deltaE

/** Steps of a part of a search, the share done said of the whole of it. */
export function* within<T>(steps: Generator<number, T>, since: number, span: number): Generator<number, T> {
  let step = steps.next()
  while (!step.done) {
    yield since + span * step.value
    step = steps.next()
  }
  return step.value
}

/** What is searched for, the same for sets of every size. */
interface OneSize {
  readonly target: Reflectance
  readonly paints: readonly Optics[]
  readonly palette: Palette
  readonly aim: Aim
  readonly musts: readonly number[]
  readonly largestPart: number
}

/**
 * The nearest formulas of sets of one size. Sets are screened by a linearisation at the target, the best refined by
 * Levenberg–Marquardt, then worked out in whole parts with rounding in mind. Yields the share done between slices of
 * work, so that a worker can report and stop.
 */
function* ofSize(search: OneSize, size: SetSize): Generator<number, Matched> {
  const { target, paints, palette, aim, musts } = search
  let refined = yield* from(target, [0, 0, 0], 0)
  // What cannot be reached is looked for anew from where the search came out: far off, a linearisation at the target misleads.
  for (let again = 0; again < 2 && refined[0] && refined[0].deltaE > FAR; again++) {
    const { set, amounts, deltaE: before } = refined[0]
    const base = mixReflectance(
      set.map((i) => paints[i]!),
      [...amounts],
    )
    const here = xyzToLab(reflectanceToXyz(base))
    const off = aim.lab.map((v, k) => v - here[k]!) as Triple
    const nearer = yield* from(base, inMetric(localMetric(here), off), again + 1)
    refined = yield* polished([...refined, ...nearer], PASSES[again + 1]!)
    if (refined[0]!.deltaE > before - 0.01) break
  }
  const whole = yield* within(inWholeParts(search, size, refined), 0.9, 0.1)
  return { exact: refined, whole }

  function* from(base: Reflectance, off: Triple, pass: number): Generator<number, Refined[]> {
    const since = PASSES[pass - 1] ?? 0
    const span = PASSES[pass]! - since
    const screened = screen(pullsAt(base, palette, off), palette.count, { size, musts, keep: KEEP })
    const starts = (yield* within(screened, since, 0.6 * span)).sort((a, b) => a.distance - b.distance)
    const list: Refined[] = []
    for (const [i, start] of starts.entries()) {
      list.push(refine(palette, aim, start.set, start.amounts))
      if (i % 32 === 31) yield since + span * (0.6 + (0.4 * i) / starts.length)
    }
    return list.sort(byDeltaE)
  }
  function* polished(list: Refined[], share: number): Generator<number, Refined[]> {
    const nearest = new Map<string, Refined>()
    for (const r of list.sort(byDeltaE)) if (!nearest.has(r.set.join())) nearest.set(r.set.join(), r)
    const all = [...nearest.values()]
    for (let i = 0; i < Math.min(POLISHED[size], all.length); i++) {
      all[i] = polish(palette, aim, all[i]!)
      if (i % 8 === 7) yield share
    }
    return all.sort(byDeltaE)
  }
}

/** The best formulas in whole parts of sets of one size, from their best amounts, nearest first. */
function* inWholeParts(
  { palette, aim, musts, largestPart }: OneSize,
  size: SetSize,
  refined: readonly Refined[],
): Generator<number, WholeParts[]> {
  const found: WholeParts[] = []
  const ofOne = largestPart ** size
  if (size < 4 && ofOne <= EVERY_OF_ONE) {
    const small: number[][] = []
    for (const set of setsHolding(musts, size, palette.count)) {
      small.push([...set])
      if (small.length * ofOne > EVERY) break
    }
    if (small.length * ofOne <= EVERY) {
      for (const [i, set] of small.entries()) {
        found.push(everyParts(palette, aim, set, largestPart))
        if (i % 8 === 7) yield i / small.length
      }
      return found
    }
  }
  const list = refined.slice(0, WORKED_OUT[size])
  const rounded: WholeParts[] = []
  for (const [i, r] of list.entries()) {
    rounded.push(wholeParts(palette, aim, r, largestPart))
    if (i % 32 === 31) yield (0.5 * i) / list.length
  }
  // Those that come out near as they are, and those that would if they were not rounded.
  const worth = new Set([...rounded].sort(byDeltaE).slice(0, STEPPED))
  for (const r of rounded.slice(0, STEPPED)) worth.add(r)
  for (const [i, r] of rounded.entries()) {
    found.push(worth.has(r) ? betterParts(palette, aim, r, largestPart) : r)
    if (i % 32 === 31) yield 0.5 + (0.4 * i) / list.length
  }
  if (ofOne > EVERY_OF_ONE) return found
  for (const [i, { set }] of [...found].sort(byDeltaE).slice(0, COUNTED).entries()) {
    found.push(everyParts(palette, aim, set, largestPart))
    if (i % 8 === 7) yield 0.9
  }
  return found
}

/** Runs a search to its end. */
export function finish<T>(steps: Generator<number, T>): T {
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}

/** `matchSteps` in one go. */
export const match = (target: Reflectance, paints: readonly Optics[], wish: MatchWish) =>
  finish(matchSteps(target, paints, wish))
