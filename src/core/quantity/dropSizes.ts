import { Invalid } from '../errors'
import type { MaterialKind } from '../paint/properties'

/** Liquids that fall in drops of their own size. */
export const DRIPS = ['water', 'paint', 'oil'] as const
export type Drip = (typeof DRIPS)[number]

export const DRIP_WORDS: Readonly<Record<Drip, string>> = {
  water: 'water',
  paint: 'thinned paint and medium',
  oil: 'silicone oil and other additives',
}

/** Volume of one drop of each, µl. */
export type DropSizes = Readonly<Record<Drip, number>>

/**
 * Drops as they fall from a usual dropper, until a studio counts its own: their weight goes with surface tension
 * (Tate's law). From memory.
 */
export const START_DROPS: DropSizes = { water: 50, paint: 30, oil: 15 }

const DRIP_OF: Readonly<Record<MaterialKind, Drip>> = {
  water: 'water',
  paint: 'paint',
  medium: 'paint',
  additive: 'oil',
}

/** Volume of a drop of a kind of material, µl. */
export const dropOf = (sizes: DropSizes, kind: MaterialKind): number => sizes[DRIP_OF[kind]]

/** Fewer drops than this say little about one of them. Start value of Fika. */
export const LEAST_COUNTED = 20

/** No dropper gives smaller or larger ones, µl. Start values of Fika. */
const SMALLEST_UL = 2
const LARGEST_UL = 300

/**
 * Volume of one drop by counting drops into a weighed cup, µl.
 * @param count whole drops that fell
 * @param massMg what they weigh together
 * @throws Invalid for too few drops, or a weight that no drops have
 */
export function countedDropUl(count: number, massMg: number, densityGPerMl: number): number {
  if (!Number.isInteger(count) || count < LEAST_COUNTED)
    throw new Invalid(`Count at least ${LEAST_COUNTED} drops, so that the scale can tell them.`, 'count')
  const ul = massMg / densityGPerMl / count
  if (!(ul >= SMALLEST_UL && ul <= LARGEST_UL))
    throw new Invalid(
      `One drop would be ${Number.isFinite(ul) ? (ul / 1000).toFixed(3) : 'no'} ml, and drops lie between ${SMALLEST_UL / 1000} and ${LARGEST_UL / 1000} ml. Check the weight and the count.`,
      'mass',
    )
  return ul
}
