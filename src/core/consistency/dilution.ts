import { mustBeAbove0, mustBeAmounts, mustBeNumbers } from '../mustBe'
import type { Body } from '../paint/properties'

/**
 * The dilution curve of a paint and medium: ln t = a − b w, with t the level time in s and w all the water in the mix,
 * the recipe's own included, ml per ml of the rest. A belief is a normal distribution over (a, b).
 */
export interface Belief {
  readonly a: number
  readonly b: number
  readonly varA: number
  readonly covAb: number
  readonly varB: number
}

/** One reading: at `w` ml of water per ml the level time was exp(`lnT`) s, ± `sigma` in ln t. */
export interface CurvePoint {
  readonly w: number
  readonly lnT: number
  readonly sigma: number
}

/** The readings of one bottle or cup. `tau`: how far its undiluted mix may lie from the curve's, σ of ln t. */
export interface Titration {
  readonly points: readonly CurvePoint[]
  readonly tau: number
}

/** Two batches of one recipe differ by this much before any water, σ of ln t. Start value of Fika. */
export const BATCH_TAU = 0.15
/** What a difference in medium : paint adds to that: σ of ln t per ln of the ratio. Start value of Fika. */
export const RATIO_TAU = 0.5

/** How alike a titration of another ratio is: τ of ln t. Ratios are medium ÷ paint; both 0 is the same. */
export const tauOf = (ratio: number, other: number) =>
  Math.hypot(BATCH_TAU, RATIO_TAU * Math.log((ratio + 0.2) / (other + 0.2)))

/**
 * Start beliefs by body, mixed by the usual ratio and not yet watered: how long the mound stays, and how quickly
 * water thins it. From memory; they are learned from the studio's own readings as those grow.
 */
const start = (levelTimeS: number, b: number): Belief => ({
  a: Math.log(levelTimeS),
  b,
  varA: 0.6 ** 2,
  covAb: 0,
  varB: (0.22 * b) ** 2,
})
export const START_BELIEFS: Readonly<Record<Body, Belief>> = {
  ready: start(1.2, 14),
  ink: start(0.8, 15),
  fluid: start(2.2, 13),
  craft: start(3, 12),
  soft: start(4.5, 11),
  heavy: start(6, 10),
}

/** Precision and weighted sums of a belief, to which readings are added. */
interface Information {
  readonly p: [number, number, number]
  readonly h: [number, number]
}

function informationOf(belief: Belief): Information {
  const det = belief.varA * belief.varB - belief.covAb ** 2
  const [paa, pab, pbb] = [belief.varB / det, -belief.covAb / det, belief.varA / det]
  return { p: [paa, pab, pbb], h: [paa * belief.a + pab * belief.b, pab * belief.a + pbb * belief.b] }
}

/**
 * Learns a curve from titrations by Bayesian linear regression. The readings of one titration share an offset of
 * variance τ², so many readings of one batch do not pretend to be many batches (Sherman–Morrison on σ²I + τ²11ᵀ).
 * With τ = 0 and a wide prior this is ordinary (weighted) least squares.
 */
export function learn(prior: Belief, titrations: readonly Titration[]): Belief {
  mustBeNumbers('A curve', Object.values(prior))
  for (const { points, tau } of titrations) {
    mustBeAmounts('How unlike two mixes are', [tau])
    mustBeNumbers(
      'A reading',
      points.flatMap((p) => [p.w, p.lnT]),
    )
    mustBeAbove0('How sure a reading is', ...points.map((p) => p.sigma))
  }
  const { p, h } = informationOf(prior)
  for (const { points, tau } of titrations) {
    // Weighted sums of 1, x and y with x = −w.
    let [s1, sx, sy, sxx, sxy] = [0, 0, 0, 0, 0]
    for (const { w, lnT, sigma } of points) {
      const q = 1 / sigma ** 2
      s1 += q
      sx -= q * w
      sy += q * lnT
      sxx += q * w * w
      sxy -= q * w * lnT
    }
    const shared = tau ** 2 / (1 + tau ** 2 * s1)
    p[0] += s1 - shared * s1 * s1
    p[1] += sx - shared * s1 * sx
    p[2] += sxx - shared * sx * sx
    h[0] += sy - shared * s1 * sy
    h[1] += sxy - shared * sx * sy
  }
  const det = p[0] * p[2] - p[1] ** 2
  const [varA, covAb, varB] = [p[2] / det, -p[1] / det, p[0] / det]
  return { a: varA * h[0] + covAb * h[1], b: covAb * h[0] + varB * h[1], varA, covAb, varB }
}

/** A new batch by a curve: the curve, and how far a batch may lie from it. */
export const ofBatch = (curve: Belief, tau = BATCH_TAU): Belief => ({ ...curve, varA: curve.varA + tau ** 2 })

/** ln of the level time at `w`, and its standard deviation. */
export function forecast(belief: Belief, w: number): { lnT: number; sd: number } {
  return {
    lnT: belief.a - belief.b * w,
    sd: Math.sqrt(Math.max(0, belief.varA - 2 * w * belief.covAb + w * w * belief.varB)),
  }
}

/** How many of the studio's own curves weigh as much as the start values. */
const START_WEIGHT = 3

/**
 * The prior of a body re-estimated from the curves the studio has learned for paints of that body: means and
 * variances of (a, b) among them, the start values counting as three curves.
 */
export function priorFrom(start: Belief, curves: readonly Belief[]): Belief {
  if (curves.length === 0) return start
  const n = START_WEIGHT + curves.length
  const mean = (pick: (c: Belief) => number) =>
    (START_WEIGHT * pick(start) + curves.reduce((s, c) => s + pick(c), 0)) / n
  const [a, b] = [mean((c) => c.a), mean((c) => c.b)]
  const spread = (before: number, dev: (c: Belief) => number) =>
    (START_WEIGHT * (before + dev(start)) + curves.reduce((s, c) => s + dev(c), 0)) / n
  return {
    a,
    b,
    varA: spread(start.varA, (c) => (c.a - a) ** 2),
    covAb: spread(start.covAb, (c) => (c.a - a) * (c.b - b)),
    varB: spread(start.varB, (c) => (c.b - b) ** 2),
  }
}
