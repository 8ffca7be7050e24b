import { Invalid } from '../../errors'
import { DARKEST, reflectanceToXyz, type Reflectance } from '../reflectance'
import { mixReflectance, type Optics } from '../kubelkaMunk'
import { xyzToLab } from '../lab'
import { inMetric, localMetric } from '../localMetric'
import type { Triple } from '../srgb'
import { metricByXyz, paletteOf } from './palette'
import { polish, refine, type Aim, type Refined } from './refine'
import { pullsAt, screen } from './screen'
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

/** How many sets of each size go from the screen to refining, and how many of those are worked out in whole parts. */
const KEEP = 300
const WORKED_OUT = 320
const POLISHED = 120
/** How many of those are stepped from by single parts. */
const STEPPED = 90
/** Up to how many ratios of all sets together, and of one of the best few sets, all of them are tried. */
const EVERY = 60_000
const EVERY_OF_ONE = 2000
const COUNTED = 24
/** More parts than this nobody measures. */
const LARGEST_PART = 100
/** Beyond this the best is not there yet, and the slow search starts. */
const FAR = 0.3

/** What share of the work is done after the first pass, and after each of those that look anew: it only ever grows. */
const PASSES = [0.6, 0.75, 0.9]

/** What a reflectance is as an aim. */
export function aimOf(target: Reflectance): Aim {
  const xyz = reflectanceToXyz(target.map((r) => Math.max(r, DARKEST)))
  return { lab: xyzToLab(xyz), xyz, byXyz: metricByXyz(xyz), root: xyz.map(Math.cbrt) as Triple }
}

/**
 * Formulas of up to four paints that come nearest to a target under D65. Every set is screened by a linearisation at
 * the target, the best refined by Levenberg–Marquardt, then worked out in whole parts with rounding in mind. Yields
 * the share done between slices of work, so that a worker can report and stop.
 * @param target reflectance, 36 bands
 * @param paints optics of the paints allowed, at least one
 * @throws Invalid where there is no paint, more must be in it than may, or the largest part is out of range
 */
export function* matchSteps(
  target: Reflectance,
  paints: readonly Optics[],
  wish: MatchWish,
): Generator<number, Matched> {
  const musts = wish.musts ?? []
  if (paints.length === 0) throw new Invalid('There is no paint to match with. Allow some paints, or bring some in.')
  if (musts.length > wish.most)
    throw new Invalid(
      `${musts.length} paints must be in it and at most ${wish.most} may. Allow more paints, or ask for fewer.`,
    )
  const largestPart = wish.largestPart ?? 10
  if (!Number.isInteger(largestPart) || largestPart < 1 || largestPart > LARGEST_PART)
    throw new Invalid(`Parts go from 1 to ${LARGEST_PART}. Choose the largest within that.`)
  const palette = paletteOf(paints)
  const aim = aimOf(target)
  const search = { most: wish.most, musts, keep: KEEP }
  let refined = yield* from(target, [0, 0, 0], 0)
  // What cannot be reached is looked for anew from where the search came out: far off, a linearisation at the target misleads.
  for (let again = 0; again < 2 && refined[0]!.deltaE > FAR; again++) {
    const base = mixReflectance(
      refined[0]!.set.map((i) => paints[i]!),
      [...refined[0]!.amounts],
    )
    const here = xyzToLab(reflectanceToXyz(base))
    const off = aim.lab.map((v, k) => v - here[k]!) as Triple
    const nearer = yield* from(base, inMetric(localMetric(here), off), again + 1)
    const before = refined[0]!.deltaE
    refined = yield* polished([...refined, ...nearer], PASSES[again + 1]!)
    if (refined[0]!.deltaE > before - 0.01) break
  }

  function* from(base: Reflectance, off: Triple, pass: number): Generator<number, Refined[]> {
    const since = PASSES[pass - 1] ?? 0
    const span = PASSES[pass]! - since
    const screening = screen(pullsAt(base, palette, off), palette.count, search)
    let step = screening.next()
    while (!step.done) {
      yield since + 0.6 * span * step.value
      step = screening.next()
    }
    const starts = step.value.sort((a, b) => a.distance - b.distance)
    const list: Refined[] = []
    for (const [i, start] of starts.entries()) {
      list.push(refine(palette, aim, start.set, start.amounts))
      if (i % 32 === 31) yield since + span * (0.6 + (0.4 * i) / starts.length)
    }
    return list.sort((a, b) => a.deltaE - b.deltaE)
  }
  function* polished(list: Refined[], share: number): Generator<number, Refined[]> {
    const nearest = new Map<string, Refined>()
    for (const r of list.sort((a, b) => a.deltaE - b.deltaE))
      if (!nearest.has(r.set.join())) nearest.set(r.set.join(), r)
    const all = [...nearest.values()]
    for (let i = 0; i < Math.min(POLISHED, all.length); i++) {
      all[i] = polish(palette, aim, all[i]!)
      if (i % 8 === 7) yield share
    }
    return all.sort((a, b) => a.deltaE - b.deltaE)
  }
  const whole = yield* inWholeParts()
  whole.sort((a, b) => a.deltaE - b.deltaE)
  return { exact: refined, whole }

  function* inWholeParts(): Generator<number, WholeParts[]> {
    const small = setsUpTo(Math.min(3, wish.most), paints.length).filter((set) => musts.every((m) => set.includes(m)))
    const every =
      small.reduce((n, set) => n + largestPart ** set.length, 0) <= EVERY && largestPart ** 3 <= EVERY_OF_ONE
    const list = refined.slice(0, WORKED_OUT).filter((r) => !every || r.set.length > 3)
    const rounded: WholeParts[] = []
    for (const [i, r] of list.entries()) {
      rounded.push(wholeParts(palette, aim, r, largestPart))
      if (i % 32 === 31) yield 0.9 + (0.05 * i) / WORKED_OUT
    }
    // Those that come out near as they are, and those that would if they were not rounded.
    const worth = new Set([...rounded].sort((a, b) => a.deltaE - b.deltaE).slice(0, STEPPED))
    for (const r of rounded.slice(0, STEPPED)) worth.add(r)
    const found: WholeParts[] = []
    for (const [i, r] of rounded.entries()) {
      found.push(worth.has(r) ? betterParts(palette, aim, r, largestPart) : r)
      if (i % 32 === 31) yield 0.95 + (0.04 * i) / WORKED_OUT
    }
    const counted = every
      ? small
      : [...found]
          .sort((a, b) => a.deltaE - b.deltaE)
          .slice(0, COUNTED)
          .map((f) => f.set)
    for (const [i, set] of counted.entries()) {
      if (largestPart ** set.length > EVERY_OF_ONE) continue
      found.push(everyParts(palette, aim, set, largestPart))
      if (i % 8 === 7) yield 0.99
    }
    return found
  }
}

/** Every set of one to `most` of some paints, by index. */
function setsUpTo(most: number, count: number): number[][] {
  const sets: number[][] = []
  for (let a = 0; a < count; a++) {
    sets.push([a])
    for (let b = a + 1; b < count && most > 1; b++) {
      sets.push([a, b])
      for (let c = b + 1; c < count && most > 2; c++) sets.push([a, b, c])
    }
  }
  return sets
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
