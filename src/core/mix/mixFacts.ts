import { mustBeAmounts } from '../mustBe'
import type { MaterialKind } from '../paint/properties'

/** So much of one material in a mix. */
export interface MixPortion {
  readonly kind: MaterialKind
  /** µl */
  readonly ul: number
  readonly densityGPerMl: number
  /** Volume solids, 0–1. */
  readonly solids: number
  /** Volume share of water in it that was added by the studio: 1 for water, 0.4 for glue thinned 60 : 40. */
  readonly waterShare: number
}

/** What plan, pour, books and learning ask of a mix alike. */
export interface MixFacts {
  readonly densityGPerMl: number
  /** Volume solids, 0–1. */
  readonly solids: number
  /** All water that was added, also that inside a thinned medium, ÷ paint by volume; 0 where no paint is in it. */
  readonly waterOfPaint: number
}

/** A mix nobody knows anything of. Start values of Fika. */
export const USUAL_MIX: MixFacts = { densityGPerMl: 1.15, solids: 0.3, waterOfPaint: 0.2 }

/**
 * Means over what is in a mix, by volume.
 * @param thinnedUl water that went in besides and is not among the portions yet, µl
 * @returns `USUAL_MIX` where nothing is in it
 * @throws Invalid for what is no amount
 */
export function mixFacts(portions: readonly MixPortion[], thinnedUl = 0): MixFacts {
  mustBeAmounts('What is in a mix', [
    thinnedUl,
    ...portions.flatMap((p) => [p.ul, p.densityGPerMl, p.solids, p.waterShare]),
  ])
  const sum = (of: (p: MixPortion) => number) => portions.reduce((s, p) => s + p.ul * of(p), 0)
  const ul = sum(() => 1) + thinnedUl
  if (ul === 0) return USUAL_MIX
  const paintUl = sum((p) => Number(p.kind === 'paint'))
  return {
    densityGPerMl: (sum((p) => p.densityGPerMl) + thinnedUl) / ul,
    solids: sum((p) => p.solids) / ul,
    waterOfPaint: paintUl > 0 ? (sum((p) => p.waterShare) + thinnedUl) / paintUl : 0,
  }
}

/** The mean of several mixes, by how much there is of each; `USUAL_MIX` where there is nothing. */
export function meanMix(mixes: readonly (MixFacts & { readonly ul: number })[]): MixFacts {
  const ul = mixes.reduce((s, m) => s + m.ul, 0)
  if (ul === 0) return USUAL_MIX
  const mean = (key: keyof MixFacts) => mixes.reduce((s, m) => s + m.ul * m[key], 0) / ul
  return { densityGPerMl: mean('densityGPerMl'), solids: mean('solids'), waterOfPaint: mean('waterOfPaint') }
}
