import { mustBeAmounts } from '../mustBe'
import { Invalid } from '../errors'
import { scaledAmounts, wantedTotalUl, type ScaleBy } from './amounts'
import { amountsForTotal, type Ingredient } from './recipe'

/** An additive that is counted into a mix: drops for each 100 ml of the whole. */
export interface Dropped {
  readonly materialId: string
  readonly per100Ml: number
  /** Volume of one drop of it, µl. */
  readonly dropUl: number
}

/** Volume of an additive's drops in a mix of a volume, µl: whole drops, and one at least. */
export function dropsUl(d: Dropped, totalUl: number): number {
  mustBeAmounts('A number of drops', [d.per100Ml, d.dropUl, totalUl])
  return Math.round(d.dropUl * Math.max(1, Math.round((d.per100Ml * totalUl) / 100_000)))
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)

/**
 * Amounts in whole µl with the drops within the whole: where a total is wanted, ingredients and drops together are it
 * exactly; where the scale comes from an ingredient, the drops come on top of what that makes.
 * @throws Invalid where it cannot be scaled, or the drops alone are more than the total
 */
export function amountsWithDrops(
  list: readonly Ingredient[],
  drops: readonly Dropped[],
  scale: ScaleBy,
): { plannedUl: number[]; dropsUl: number[] } {
  const wanted = wantedTotalUl(scale)
  if (wanted !== undefined) {
    const counted = drops.map((d) => dropsUl(d, wanted))
    const restUl = wanted - sum(counted)
    if (restUl <= 0) throw new Invalid('The drops alone are more than that. Mix more, or leave some out.', 'total')
    return { plannedUl: amountsForTotal(list, restUl), dropsUl: counted }
  }
  const plannedUl = scaledAmounts(list, scale)
  const bare = sum(plannedUl)
  // Counted for the whole, drops and all; they are so small beside it that a second look settles it.
  const once = drops.map((d) => dropsUl(d, bare))
  return { plannedUl, dropsUl: drops.map((d) => dropsUl(d, bare + sum(once))) }
}
