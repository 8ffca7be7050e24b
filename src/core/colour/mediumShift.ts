import type { MediumKind } from '../paint/properties'
import { cholesky, solveCholesky } from '../linear/cholesky'
import { labToLch, lchToLab } from './lab'
import type { Triple } from './srgb'

/** The same mix as it is before and after: wet and dry, or as computed from its paints and as it dried in a medium. */
export interface BeforeAfter {
  readonly before: Triple
  readonly after: Triple
  /** Null for paint alone. */
  readonly medium: MediumKind | null
  /** Share of medium in the whole, by volume, 0–1. */
  readonly mediumShare: number
}

/** How far the start values may be off, and how far single pairs scatter (L*; a twentieth of it for ln chroma). */
const PRIOR_SIGMA = 2
const SCATTER = 1.5
const CHROMA_SCALE = 0.05

export interface Shift {
  /** L* lost. */
  readonly darker: number
  /** ln of C* after over C* before. */
  readonly chroma: number
  /** Standard deviation of `darker` for one more mix. */
  readonly sigma: number
  /** Pairs of this medium it is learned from. */
  readonly pairs: number
}

/** Posterior of offset and slope over the medium share, from values at shares; normal prior, known scatter. */
function line(
  values: readonly (readonly [share: number, value: number])[],
  prior: readonly [number, number],
  scale: number,
) {
  const [p, w] = [1 / (PRIOR_SIGMA * scale) ** 2, 1 / (SCATTER * scale) ** 2]
  const a = Float64Array.of(p, 0, 0, p)
  const g = [p * prior[0], p * prior[1]]
  for (const [x, y] of values) {
    a[0]! += w
    a[2]! += w * x
    a[3]! += w * x * x
    g[0]! += w * y
    g[1]! += w * x * y
  }
  const factor = cholesky(a, 2)!
  const [offset, slope] = solveCholesky(factor, 2, g) as unknown as [number, number]
  const variance = (x: number) => {
    const [u, v] = solveCholesky(factor, 2, [1, x]) as unknown as [number, number]
    return u + v * x
  }
  return { offset, slope, variance }
}

/**
 * How a mix shifts with a share of some medium in it: start values, bent towards the studio's own pairs of that kind
 * (Bayesian linear regression over the medium's share).
 * @param start L* lost by paint alone, and what a pure medium adds to that
 */
export function shiftWith(
  pairs: readonly BeforeAfter[],
  medium: MediumKind | null,
  mediumShare: number,
  start: readonly [alone: number, medium: number],
): Shift {
  // Paint alone says something of every mix; other mediums say nothing of this one.
  const own = pairs.filter((p) => p.medium === medium || p.mediumShare === 0)
  const light = line(
    own.map((p) => [p.mediumShare, p.before[0] - p.after[0]]),
    start,
    1,
  )
  const coloured = own.filter((p) => Math.min(labToLch(p.before)[1], labToLch(p.after)[1]) > 5)
  const rich = line(
    coloured.map((p) => [p.mediumShare, Math.log(labToLch(p.after)[1] / labToLch(p.before)[1])]),
    [0, 0],
    CHROMA_SCALE,
  )
  return {
    darker: light.offset + light.slope * mediumShare,
    chroma: rich.offset + rich.slope * mediumShare,
    sigma: Math.sqrt(light.variance(mediumShare) + SCATTER ** 2),
    pairs: own.length,
  }
}

/** What something that looks like `before` looks like after a shift. */
export function shifted(before: Triple, shift: Pick<Shift, 'darker' | 'chroma'>): Triple {
  const [l, c, h] = labToLch(before)
  return lchToLab([Math.min(100, Math.max(0, l - shift.darker)), c * Math.exp(shift.chroma), h])
}
