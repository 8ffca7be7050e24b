import { mustBeNumbers } from '../mustBe'

const { exp, log, sqrt } = Math

/** Values of one group: how pieces of one technique were rated, say. */
export interface Group {
  readonly key: string
  readonly values: readonly number[]
}

export interface PooledGroup {
  readonly key: string
  readonly n: number
  /** Mean of the group drawn towards all, and the bounds it lies between nine times in ten. */
  readonly mean: number
  readonly low: number
  readonly high: number
  /** That it is better than the mean of all groups. */
  readonly above: number
}

export interface Pooled {
  readonly mean: number
  readonly n: number
  /** Groups with enough pieces, the best first; those with fewer are only counted. */
  readonly groups: readonly PooledGroup[]
  readonly tooFew: readonly { readonly key: string; readonly n: number }[]
}

/** Nothing is said of a group under three. */
const FEWEST = 3
const POINTS = 12

/**
 * Means of groups with partial pooling: value ~ N(group, σ²), group ~ N(all, τ²), the mean of all flat; σ and τ are
 * integrated out on a grid (Gelman et al., Bayesian Data Analysis, ch. 5, from memory). Groups of few pieces are drawn to
 * the mean of all by as much as the spread of the groups says.
 * @param scale usual spread of a value, in its unit
 * @throws Invalid for what is no number
 */
export function pooledMeans(groups: readonly Group[], scale: number): Pooled {
  mustBeNumbers(
    'A value',
    groups.flatMap((g) => g.values),
  )
  const told = groups.filter((g) => g.values.length > 0)
  const n = told.reduce((s, g) => s + g.values.length, 0)
  const tooFew = told.flatMap((g) => (g.values.length < FEWEST ? [{ key: g.key, n: g.values.length }] : []))
  if (n === 0) return { mean: 0, n, groups: [], tooFew }
  const stats = told.map((g) => {
    const mean = g.values.reduce((s, v) => s + v, 0) / g.values.length
    return { key: g.key, n: g.values.length, mean, squares: g.values.reduce((s, v) => s + (v - mean) ** 2, 0) }
  })
  const points = grid(stats, n, scale)
  const all = sum(points, (p) => p.weight * p.mean)
  const pooled = stats.flatMap((s, i) => {
    if (s.n < FEWEST) return []
    const mean = sum(points, (p) => p.weight * p.groups[i]!.mean)
    const variance = sum(points, (p) => p.weight * (p.groups[i]!.variance + (p.groups[i]!.mean - mean) ** 2))
    const reach = 1.645 * sqrt(variance)
    const above = sum(points, (p) => {
      const { mean: m, variance: v } = p.groups[i]!
      return p.weight * logisticOf((m - p.mean) / sqrt(v + p.variance))
    })
    return [{ key: s.key, n: s.n, mean, low: mean - reach, high: mean + reach, above }]
  })
  pooled.sort((a, b) => b.mean - a.mean || (a.key < b.key ? -1 : 1))
  return { mean: all, n, groups: pooled, tooFew }
}

const sum = <T>(list: readonly T[], f: (x: T) => number) => list.reduce((s, x) => s + f(x), 0)
/** The normal distribution function to within 0.01 by a logistic: enough for a word. */
const logisticOf = (z: number) => 1 / (1 + exp(-1.702 * z))

interface Point {
  weight: number
  readonly mean: number
  readonly variance: number
  readonly groups: readonly { readonly mean: number; readonly variance: number }[]
}

/** Means and variances at every σ and τ of the grid, weighted by how well they explain the values. */
function grid(
  stats: readonly { n: number; mean: number; squares: number }[],
  n: number,
  scale: number,
): readonly Point[] {
  const points: (Point & { log: number })[] = []
  const within = sum(stats, (s) => s.squares)
  for (let i = 0; i < POINTS; i++)
    for (let j = 0; j < POINTS; j++) {
      const sigma = scale * exp(-1.4 + (2.4 * i) / (POINTS - 1))
      const tau = (scale * 2 * (j + 0.25)) / POINTS
      const precisions = stats.map((s) => 1 / (tau * tau + (sigma * sigma) / s.n))
      const p = sum(precisions, (x) => x)
      const mean = sum(stats, (s) => s.mean * precisions[stats.indexOf(s)]!) / p
      // σ about its usual size (a normal of ln σ), τ half-normal; both weak. Start values of Fika.
      let l = -0.5 * (log(sigma / scale) / 0.5) ** 2 - 0.5 * (tau / scale) ** 2
      l += -(n - stats.length) * log(sigma) - within / (2 * sigma * sigma) - 0.5 * log(p)
      stats.forEach((s, k) => (l += 0.5 * log(precisions[k]!) - 0.5 * precisions[k]! * (s.mean - mean) ** 2))
      const groups = stats.map((s) => {
        const own = s.n / (sigma * sigma)
        const share = own / (own + 1 / (tau * tau))
        return {
          mean: share * s.mean + (1 - share) * mean,
          variance: 1 / (own + 1 / (tau * tau)) + (1 - share) ** 2 / p,
        }
      })
      points.push({ weight: 0, log: l, mean, variance: 1 / p, groups })
    }
  const top = Math.max(...points.map((p) => p.log))
  const all = sum(points, (p) => exp(p.log - top))
  for (const p of points) p.weight = exp(p.log - top) / all
  return points
}
