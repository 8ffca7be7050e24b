import { pourUl } from '../surface/coverage'
import { areas } from '../surface/area'
import type { EnoughWord, PouredPiece } from './learnedAmount'
import type { PouredFacts } from './pouredFacts'
import type { Group } from './pooled'

/** What the maker made of the amount while it was wet; where nothing bothered, it was as wanted. */
export function enoughOf({ film, bothers }: Pick<PouredFacts, 'film' | 'bothers'>): EnoughWord {
  if (film === 'thin' || bothers.includes('empty corner')) return 'short'
  return film === 'too much' || bothers.includes('too much paint') ? 'plenty' : 'as wanted'
}

/** Edges ÷ face of a surface. */
export function edgesOf(surface: PouredFacts['surface']): number {
  const { faceMm2, edgesMm2 } = areas(surface)
  return faceMm2 > 0 ? edgesMm2 / faceMm2 : 0
}

/** Pieces as amounts are learned from them; what was poured as coats is left out. */
export function amountsOfPieces(pieces: readonly PouredFacts[]): PouredPiece[] {
  return pieces.flatMap((p) => {
    const rule = pourUl(p.surface, { kind: 'rule-of-28' })
    const poured = p.pouredUl * p.cupShare
    if (!(rule > 0) || !(poured > 0)) return []
    return [{ technique: p.technique, ofRule: poured / rule, edges: edgesOf(p.surface), enough: enoughOf(p) }]
  })
}

/** Shares that stayed on, of pieces where it was weighed, by technique. */
export function sharesKept(pieces: readonly PouredFacts[]): Group[] {
  const by = new Map<string, number[]>()
  for (const p of pieces)
    if (p.isWeighed && p.pouredUl > 0)
      by.set(p.technique, [...(by.get(p.technique) ?? []), Math.min(1, p.leftUl / p.pouredUl)])
  return [...by].map(([key, values]) => ({ key, values }))
}

/** How shares that stayed scatter within a technique. Start value of Fika. */
export const SHARE_SPREAD = 0.12
