import type { MediumKind } from '../paint/properties'
import { cholesky, solveCholesky } from '../linear/cholesky'
import { labToLch, lchToLab } from './lab'
import type { Triple } from './srgb'

/** A colour seen wet and again dry, with what carried it. */
export interface WetDryPair {
  readonly wet: Triple
  readonly dry: Triple
  /** Null for paint alone. */
  readonly medium: MediumKind | null
  /** Share of medium in the whole, by volume, 0–1. */
  readonly mediumShare: number
}

/**
 * How much lighter a pure medium makes a mix while wet, in L*: the milkier, the more. Start values
 * of Fika; the studio's own pairs replace them.
 */
const MILKY: Readonly<Record<MediumKind, number>> = {
  conditioner: 5,
  'pouring medium': 4,
  'gloss medium': 4,
  glue: 6,
  'anti-craze medium': 4,
  'enamel or house paint': 1,
  'clear varnish': 4,
  'one-bottle base': 4,
}
/** What paint alone darkens by, L*, and what chroma it gains, as ln C* dry / wet. Start values of Fika. */
const PAINT_DARKENS = 1.5
/** How far the start values may be off, and how far single pairs scatter (L*; a twentieth of it for ln chroma). */
const PRIOR_SIGMA = 2
const SCATTER = 1.5
const CHROMA_SCALE = 0.05

export interface Shift {
  /** L* lost on drying. */
  readonly darker: number
  /** ln of C* dry over C* wet. */
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
 * How a mix shifts from wet to dry: start values by kind of medium, bent towards the studio's own pairs of that kind
 * (Bayesian linear regression over the medium's share).
 */
export function wetDryShift(pairs: readonly WetDryPair[], medium: MediumKind | null, mediumShare: number): Shift {
  // Paint alone says something of every mix; other mediums say nothing of this one.
  const own = pairs.filter((p) => p.medium === medium || p.mediumShare === 0)
  const milky = medium ? MILKY[medium] : 0
  const light = line(
    own.map((p) => [p.mediumShare, p.wet[0] - p.dry[0]]),
    [PAINT_DARKENS, milky],
    1,
  )
  const coloured = own.filter((p) => Math.min(labToLch(p.wet)[1], labToLch(p.dry)[1]) > 5)
  const rich = line(
    coloured.map((p) => [p.mediumShare, Math.log(labToLch(p.dry)[1] / labToLch(p.wet)[1])]),
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

/** What a mix that looks like `wet` looks like dry. */
export function dryOf(wet: Triple, shift: Shift): Triple {
  const [l, c, h] = labToLch(wet)
  return lchToLab([Math.max(0, l - shift.darker), c * Math.exp(shift.chroma), h])
}

/** What a mix that dries to `dry` looks like wet. */
export function wetOf(dry: Triple, shift: Shift): Triple {
  const [l, c, h] = labToLch(dry)
  return lchToLab([Math.min(100, l + shift.darker), c * Math.exp(-shift.chroma), h])
}
