import type { CupOnSurface } from '../layering/lands'
import type { PlanAmounts } from './amounts'
import { sourceKey, type Design, type PlannedCup } from './design'

/** The cups that are poured on a surface: its own, or those of no surface where it has none. */
export function cupsOn({ cups }: Pick<Design, 'cups'>, surface: string): PlannedCup[] {
  const own = new Set(cups.map((c) => c.on))
  return cups.filter((c) => c.on === surface || (c.on === null && !own.has(surface)))
}

/** Cups alike stand so far apart as their paint at this depth asks, mm. Start value of Fika. */
const SPREAD_MM = 8

/**
 * Cups alike round their place, each turned on by its part of a full turn, with what one of them pours.
 * @param colours the index of each source, by its key; layers of what is not among them are left out
 */
export function cupsAlike(
  c: PlannedCup,
  amounts: Pick<PlanAmounts, 'cups'>,
  colours: ReadonlyMap<string, number>,
): CupOnSurface[] {
  const filled = amounts.cups.find((f) => f.id === c.id)!
  const layers = c.layers.flatMap((l) => {
    const colour = l.of ? colours.get(sourceKey(l.of)) : undefined
    const ul = filled.layers.find((f) => f.layer === l.id)!.ul / Math.max(1, filled.cups)
    return colour === undefined ? [] : [{ colour, ul }]
  })
  const downOneSide = c.layers.length > 1 && c.layers.every((l) => l.how === 'side')
  const radius =
    c.copies > 1 ? Math.sqrt(filled.eachUl / (Math.PI * SPREAD_MM)) / Math.sin(Math.PI / Math.max(2, c.copies)) : 0
  return Array.from({ length: c.copies }, (_, i) => {
    const a = (2 * Math.PI * i) / c.copies - Math.PI / 2
    return {
      kind: c.kind,
      at: [c.at[0] + radius * Math.cos(a), c.at[1] + radius * Math.sin(a)] as const,
      turnDeg: c.turnDeg + (360 * i) / c.copies,
      path: c.path.map(([x, y]) => [x, y + (i - (c.copies - 1) / 2) * 30] as const),
      layers,
      downOneSide,
    }
  })
}
