import { mustBeAbove0, mustBeAmounts, mustBeNumbers } from '../mustBe'
import { normalCdf } from '../probability/normal'
import { forecast, type Belief } from './dilution'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { abs, exp, log, max, sqrt } = Math

export interface AdviceWish {
  /** The belief about this very mix: its curve, and its own readings. */
  readonly belief: Belief
  /** Water in it now, the recipe's own included, ml per ml of the rest. */
  readonly w: number
  /** Volume of all in it but the water, µl. */
  readonly undilutedUl: number
  /** Wanted level time, s, least and most. */
  readonly bandS: readonly [number, number]
  /** Water that may still go in by the house's limit, µl. */
  readonly roomUl: number
  /** Where mixes of this paint and medium were read, ml per ml of the rest; only where it is now, if nothing is said. */
  readonly readW?: readonly number[]
}

export interface WaterAdvice {
  readonly kind: 'good' | 'water' | 'medium' | 'too thin'
  /** Water to add now, µl; never past the limit. */
  readonly waterUl: number
  /** Between these it lies with 80 % probability, µl; not cut at the limit. */
  readonly rangeUl: readonly [number, number]
  /** How likely this much lands in the band, 0–1. */
  readonly chance: number
  /** Medium that does what water may not, µl. */
  readonly mediumUl: number
  /** For one that is too thin: unwatered mix that brings it back, µl. */
  readonly unwateredUl: number
  /** The additions as one does them: with a stir and a look after each, µl. They sum to `waterUl`. */
  readonly stepsUl: readonly number[]
  /** What it should then be, s. */
  readonly expectedS: number
}

/** Pouring medium thins this much as well as water, by volume. Start value of Fika. */
export const MEDIUM_THINS = 0.35

/**
 * Water as far as the house's limit lets it, and medium that does the rest, µl.
 * @param wantedUl water that would do it alone
 * @param roomUl water that may still go in
 */
export function thinWithin(wantedUl: number, roomUl: number): { readonly waterUl: number; readonly mediumUl: number } {
  const waterUl = Math.min(wantedUl, Math.max(0, roomUl))
  return { waterUl, mediumUl: Math.round((wantedUl - waterUl) / MEDIUM_THINS) }
}

/** A band that begins at nothing is taken to begin at this share of its upper end. Start value of Fika. */
const OPEN_BAND = 0.4
const GRID = 100
/** The mound is judged again by hand: no advice is surer than that, σ of ln t. Start value of Fika. */
const JUDGED_SIGMA = 0.07

/** A band with a lower end above zero. */
export const closed = ([least, most]: readonly [number, number]): readonly [number, number] => [
  least > 0 ? least : OPEN_BAND * most,
  most,
]

/** The middle of a band, in the sense of ln t. */
export const aimOf = (band: readonly [number, number]) => Math.sqrt(closed(band)[0] * band[1])

/** How ln t may fall by `d` more of water, `b` being its slope where nothing was added yet. */
interface Shape {
  readonly weight: number
  readonly fall: (b: number, d: number) => number
  /** ∂fall/∂b: what is not known of b tells less where the curve bends. */
  readonly slope: (b: number, d: number) => number
}
const SUSPENSION = 1.5
const LATER = 0.45
const YIELDS = 0.8
const LATE = 0.03
/**
 * What water does where the curve is not straight: from the nearest reading on, ln t may fall straight; ever less, as a
 * thick suspension (Krieger & Dougherty 1959, 2.5 times its packing as exponent, from memory); at first as quickly and
 * then at less than half, as a mound that a yield stress holds up; or little at first. How much each is believed: start
 * values of Fika.
 */
const SHAPES: readonly Shape[] = [
  { weight: 0.35, fall: (b, d) => b * d, slope: (_, d) => d },
  {
    weight: 0.2,
    fall: (b, d) => SUSPENSION * log(1 + (b / SUSPENSION) * (d / (1 + d))),
    slope: (b, d) => d / (1 + d) / (1 + (b / SUSPENSION) * (d / (1 + d))),
  },
  {
    weight: 0.3,
    fall: (b, d) => LATER * b * d + (1 - LATER) * YIELDS * (1 - exp((-b * d) / YIELDS)),
    slope: (b, d) => d * (LATER + (1 - LATER) * exp((-b * d) / YIELDS)),
  },
  { weight: 0.15, fall: (b, d) => (b * d * d) / (d + LATE), slope: (_, d) => (d * d) / (d + LATE) },
]
/**
 * What is not known of a curve lets fewer mixes miss than it would in one straight world; the range of what they need is
 * no narrower for that. From trials in four worlds.
 */
const SPREAD = { chance: 0.85, range: 1.1 }

/**
 * How likely ln t at a water content is below a value, over all shapes.
 * @param spread what is not known of the curve counts so many times, see `SPREAD`
 * @param by how a hand that judges it errs, σ of ln t
 */
function chanceBelow(
  value: number,
  belief: Belief,
  x: number,
  read: readonly number[],
  spread: number,
  by: number,
): number {
  let near = read[0]!
  for (const w of read) if (abs(w - x) < abs(near - x)) near = w
  const { lnT, sd } = forecast(belief, near)
  const [b, d] = [max(belief.b, 0.5), abs(x - near)]
  const way = x >= near ? 1 : -1
  const cov = belief.covAb - near * belief.varB
  let sum = 0
  for (const { weight, fall, slope } of SHAPES) {
    const g = way * slope(b, d)
    const variance = spread * spread * (sd * sd + g * (g * belief.varB - 2 * cov)) + by * by
    sum += weight * normalCdf((value - lnT + way * fall(b, d)) / sqrt(max(1e-12, variance)))
  }
  return sum
}

/**
 * How much water brings a mix into a band: the amount that most likely lands there, what lies around it with 80 %,
 * in careful steps, and never past the limit; what is then missing is given as medium.
 * @throws Invalid for what is no number
 */
export function adviseWater({ belief, w, undilutedUl, bandS, roomUl, readW }: AdviceWish): WaterAdvice {
  mustBeNumbers('A curve or a reading', [...Object.values(belief), w, ...(readW ?? [])])
  mustBeAmounts('A volume or a band', [undilutedUl, ...bandS, roomUl])
  mustBeAbove0('The longest level time wanted', bandS[1])
  const [least, most] = closed(bandS)
  const aim = Math.log(aimOf(bandS))
  const read = [w, ...(readW ?? [])]
  const [upper, lower] = [log(most), log(least)]
  const landing = (value: number, x: number) => chanceBelow(value, belief, x, read, SPREAD.chance, JUDGED_SIGMA)
  const chanceAt = (x: number) => landing(upper, x) - landing(lower, x)
  const now = forecast(belief, w)
  const b = Math.max(belief.b, 0.5)
  // Past this nothing is left to gain: the mean is well below the band.
  const far = Math.max(w, w + (2 * (now.lnT - Math.log(least))) / b + 1 / b)
  let best = w
  let chance = chanceAt(w)
  for (let i = 1; i <= GRID; i++) {
    const x = w + ((far - w) * i) / GRID
    const c = chanceAt(x)
    if (c > chance) [best, chance] = [x, c]
  }
  for (let step = (far - w) / GRID / 2; step * undilutedUl > 50 && step > 0; step /= 2)
    for (const x of [best - step, best + step]) {
      const c = x > w ? chanceAt(x) : 0
      if (c > chance) [best, chance] = [x, c]
    }
  const toUl = (x: number) => Math.max(0, Math.round((x - w) * undilutedUl))
  // P(the true need is below x) = P(ln t at x is below the aim).
  const need = (share: number) => {
    let [low, high] = [w, far + 12 / b]
    for (let i = 0; i < 30; i++) {
      const mid = (low + high) / 2
      if (chanceBelow(aim, belief, mid, read, SPREAD.range, 0) < share) low = mid
      else high = mid
    }
    return high
  }
  const rangeUl = [toUl(need(0.1)), toUl(need(0.9))] as const
  const nothing = { rangeUl, mediumUl: 0, unwateredUl: 0, stepsUl: [], waterUl: 0, expectedS: Math.exp(now.lnT) }
  if (now.lnT < Math.log(least)) {
    // Diluting backwards: the same mix without water makes w smaller.
    const wanted = Math.max(0, w - (aim - now.lnT) / b)
    const unwateredUl = wanted > 0 ? Math.round(undilutedUl * (w / wanted - 1)) : 0
    return { ...nothing, kind: 'too thin', chance: chanceAt(w), unwateredUl }
  }
  if (now.lnT <= Math.log(most)) return { ...nothing, kind: 'good', chance: chanceAt(w) }
  const wantedUl = toUl(best)
  if (wantedUl > roomUl) {
    const { waterUl, mediumUl } = thinWithin(wantedUl, roomUl)
    const x = w + waterUl / undilutedUl
    const stepsUl = inSteps(waterUl, rangeUl[0])
    return {
      kind: 'medium',
      waterUl,
      rangeUl,
      chance: chanceAt(x),
      mediumUl,
      unwateredUl: 0,
      stepsUl,
      expectedS: Math.exp(forecast(belief, x).lnT),
    }
  }
  return {
    kind: 'water',
    waterUl: wantedUl,
    rangeUl,
    chance,
    mediumUl: 0,
    unwateredUl: 0,
    stepsUl: inSteps(wantedUl, rangeUl[0]),
    expectedS: Math.exp(forecast(belief, best).lnT),
  }
}

/** Less than this is not worth a stop of its own, µl (4 drops). */
const LEAST_STEP = 200

/** First what is safe even if the mix thins quickly (or half), then the rest. */
function inSteps(ul: number, safeUl: number): number[] {
  if (ul <= 2 * LEAST_STEP) return ul > 0 ? [ul] : []
  const first = Math.round(Math.min(Math.max(safeUl, ul / 2), ul - LEAST_STEP))
  return [first, ul - first]
}
