import type { Sheen } from '../../paint/properties'
import { isNoPromise, sheenOfMix, sheenShares } from '../../paint/sheenOfMix'
import { filmOfMix, overCard, paintScatter, type FilmPaint } from '../film'
import type { WholeParts } from './wholeParts'

/** What is weighed of a paint beside its colour. */
export interface RankedPaint extends FilmPaint {
  readonly sheen: Sheen
  readonly pigments: readonly string[]
  /** Minor units a ml; null where no price is known. */
  readonly perMl: number | null
}

export interface Candidate extends WholeParts {
  /** Minor units a ml of the paints together; null where a price is missing. */
  readonly perMl: number | null
  readonly contrastRatio: number
  readonly pigments: readonly string[]
  readonly sheen: Sheen
  /** See `sheenOfMix`. */
  readonly promise: boolean
  /** ΔE00 with what else counts laid on top; the lower the better. */
  readonly score: number
}

/**
 * What else counts, in ΔE00 it is worth. Start values of Fika: nearness first; of what the eye cannot
 * tell apart, fewer paints, fewer pigments, better hiding, less money, and the sheen that is wanted.
 */
const WORTH = { noticed: 0.5, paint: 0.3, pigment: 0.1, hiding: 1, money: 0.2, sheen: 0.5, noPromise: 1, part: 0.01 }

/**
 * Candidates in the order a maker would try them; of formulas from the same paints only the best.
 * @param wantedSheen the sheen of the target, where it has one
 */
export function rank(found: readonly WholeParts[], paints: readonly RankedPaint[], wantedSheen?: Sheen): Candidate[] {
  const seen = new Set<string>()
  const list = found.filter((f) => {
    const key = [...f.set].sort((a, b) => a - b).join()
    return seen.has(key) ? false : seen.add(key)
  })
  // A paint's scattering is searched for: once, not for every formula it takes part in.
  const used = new Set(list.flatMap((f) => f.set.map((i) => paints[i]!)))
  const scatter = new Map([...used].map((p) => [p, paintScatter(p)]))
  const described = list.map((f) => describe(f, paints, scatter))
  const prices = described.flatMap((d) => d.perMl ?? [])
  const cheapest = prices.length ? Math.min(...prices) : 0
  return described.map((d) => ({ ...d, score: scoreOf(d, cheapest, wantedSheen) })).sort((a, b) => a.score - b.score)
}

function describe(
  f: WholeParts,
  all: readonly RankedPaint[],
  scatter: ReadonlyMap<RankedPaint, number>,
): Omit<Candidate, 'score'> {
  const paints = f.set.map((i) => all[i]!)
  const total = f.parts.reduce((a, b) => a + b, 0)
  const mean = (value: (p: RankedPaint) => number) =>
    paints.reduce((sum, p, i) => sum + (f.parts[i]! / total) * value(p), 0)
  const shares = sheenShares(paints.map((p, i) => ({ sheen: p.sheen, ul: f.parts[i]! })))
  return {
    ...f,
    perMl: paints.some((p) => p.perMl === null) ? null : mean((p) => p.perMl!),
    contrastRatio: overCard(filmOfMix(paints, f.parts, (p) => scatter.get(p)!)).contrastRatio,
    pigments: [...new Set(paints.flatMap((p) => p.pigments))],
    sheen: sheenOfMix(shares),
    promise: !isNoPromise(shares),
  }
}

function scoreOf(d: Omit<Candidate, 'score'>, cheapest: number, wanted: Sheen | undefined): number {
  const dearer = d.perMl !== null && cheapest > 0 ? Math.min(3, d.perMl / cheapest - 1) : 0
  return (
    Math.max(WORTH.noticed, d.deltaE) +
    WORTH.paint * (d.set.length - 1) +
    WORTH.pigment * Math.max(0, d.pigments.length - d.set.length) +
    WORTH.hiding * (1 - d.contrastRatio) +
    WORTH.money * dearer +
    WORTH.part * d.parts.reduce((a, b) => a + b, 0) +
    (d.promise ? 0 : WORTH.noPromise) +
    (wanted && wanted !== d.sheen ? WORTH.sheen : 0)
  )
}
