import { Invalid } from '../errors'
import { mustBeNumbers } from '../mustBe'
import { Z_90 } from '../probability/normal'
import { tCdf, tQuantile } from '../probability/studentT'

/**
 * What differences of pairs say: they are normal about a gap nobody knows, with a spread nobody knows (normal with an
 * inverse-χ² prior; Gelman et al., Bayesian Data Analysis, ch. 3, from memory).
 */
export interface PairVerdict {
  readonly pairs: number
  /** Mean gap after the fact, and the bounds it lies between nine times in ten. */
  readonly gap: number
  readonly low: number
  readonly high: number
  /** That the first is better by more than the margin, that the second is, and that neither matters. */
  readonly first: number
  readonly second: number
  readonly alike: number
  readonly verdict: Verdict
  /** About so many more pairs would decide it; 0 where it is decided, null where more than the most would not. */
  readonly more: number | null
}
export const VERDICTS = ['first', 'second', 'alike', 'open'] as const
export type Verdict = (typeof VERDICTS)[number]

/** How differences of one kind scatter before any is seen, and from where on one matters. Start values of Fika. */
export interface GapScale {
  readonly margin: number
  /** Usual spread of a difference between two that are alike. */
  readonly spread: number
}
/** Ratings 1–5: a hand's word scatters by 0.75, a difference by √2 of it. Criteria 0–3 a little less. */
export const RATING_SCALE: GapScale = { margin: 0.25, spread: 1.06 }
export const CRITERION_SCALE: GapScale = { margin: 0.25, spread: 0.9 }
/** Metrics of a photo are compared by ln of their ratio: from 15 % on it matters. */
export const METRIC_SCALE: GapScale = { margin: Math.log(1.15), spread: 0.35 }

/** Never a word before four pairs (results.md of the house: one pair says nothing); sure is nine in ten. */
const FEWEST = 4
const SURE = 0.9
/** Weight of the usual spread, in pairs; and of a gap of 0, so that luck of few pairs is drawn in. */
const SPREAD_PAIRS = 4
const ZERO_PAIRS = 0.2
const MOST_MORE = 40

/**
 * What paired differences (first − second) say.
 * @throws Invalid for what is no number
 */
export function pairVerdict(differences: readonly number[], scale: GapScale): PairVerdict {
  mustBeNumbers('A difference', differences)
  const n = differences.length
  const mean = n > 0 ? differences.reduce((s, d) => s + d, 0) / n : 0
  const squares = differences.reduce((s, d) => s + (d - mean) ** 2, 0)
  const weight = n + ZERO_PAIRS
  const nu = n + SPREAD_PAIRS
  const gap = (n * mean) / weight
  const variance = (SPREAD_PAIRS * scale.spread ** 2 + squares + (n * ZERO_PAIRS * mean * mean) / weight) / nu
  const error = Math.sqrt(variance / weight)
  const first = 1 - tCdf((scale.margin - gap) / error, nu)
  const second = tCdf((-scale.margin - gap) / error, nu)
  const alike = Math.max(0, 1 - first - second)
  const verdict = n < FEWEST ? 'open' : decided(first, second, alike)
  const reach = tQuantile(0.95, nu) * error
  return {
    pairs: n,
    gap,
    low: gap - reach,
    high: gap + reach,
    first,
    second,
    alike,
    verdict,
    more: verdict === 'open' ? howManyMore(n, gap, Math.sqrt(variance), scale.margin) : 0,
  }
}

function decided(first: number, second: number, alike: number): Verdict {
  if (first >= SURE) return 'first'
  if (second >= SURE) return 'second'
  return alike >= SURE ? 'alike' : 'open'
}

/**
 * Pairs until the probability passes nine in ten, were gap and spread what they seem by now: half of the time a few more,
 * half a few less. Where the gap is within the margin, until "alike" is sure.
 */
function howManyMore(n: number, gap: number, spread: number, margin: number): number | null {
  if (n < 2) return FEWEST - n
  const past = Math.abs(Math.abs(gap) - margin)
  const sure = Math.abs(gap) > margin ? Z_90 : 1.645
  const wanted = past > 0 ? Math.ceil(((sure * spread) / past) ** 2) : Infinity
  const more = Math.max(FEWEST - n, wanted - n, 1)
  return more > MOST_MORE ? null : more
}

/** One arm's word on one repeat, by one person; null: not looked at. */
export interface ArmWord {
  readonly arm: string
  /** Which repeat: arms of one repeat are poured alike but for the one thing. */
  readonly repeat: number
  readonly value: number
}

/** Verdict between two arms, by repeats in which both were judged; several people's words are averaged first. */
export function verdictOf(words: readonly ArmWord[], first: string, second: string, scale: GapScale): PairVerdict {
  if (first === second) throw new Invalid('A trial compares two different arms. Choose another second one.')
  const means = (arm: string) => {
    const by = new Map<number, number[]>()
    for (const w of words) if (w.arm === arm) by.set(w.repeat, [...(by.get(w.repeat) ?? []), w.value])
    return new Map([...by].map(([r, values]) => [r, values.reduce((s, v) => s + v, 0) / values.length]))
  }
  const [a, b] = [means(first), means(second)]
  return pairVerdict(
    [...a].flatMap(([repeat, value]) => (b.has(repeat) ? [value - b.get(repeat)!] : [])),
    scale,
  )
}
