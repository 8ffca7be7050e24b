import { mustBeAmounts } from '../mustBe'
import { Invalid } from '../errors'
import { formatMl } from '../quantity/format'
import { contentUl, inProportion, type Portion } from './content'

/** Where a loss went that the water added to a mix cannot explain. */
export const LOSSES = ['dried', 'spilled', 'residue'] as const
export type Loss = (typeof LOSSES)[number]

export interface WeighInInput {
  /** Mass on the scale with the bottle, mg. */
  readonly grossMg: number
  /** Mass of the empty bottle, mg. */
  readonly tareMg: number
  /** Content by the books; `isWater` marks lots of water. `densityGPerMl` and volume solids (0–1) of the lot. */
  readonly content: readonly (Portion & { isWater: boolean; densityGPerMl: number; solids: number })[]
  /** What the maker says happened to a loss that is more than the water added can explain. */
  readonly named?: Loss | undefined
}

export interface WeighInResult {
  readonly measuredUl: number
  /** What went to the air, by lot. */
  readonly evaporated: Portion[]
  /** How much water that was, µl: what brings it back. */
  readonly waterUl: number
  readonly lost: Portion[]
  /** Found more than booked: a measuring gain, in proportion to the content. */
  readonly gained: Portion[]
}

/** A millilitre of water, g: whatever lot it was part of. */
export const WATER_G_PER_ML = 1

/**
 * Books a bottle by weight. Remaining = (gross − tare) / ρ. A loss is evaporated water first (water lots, by their own
 * mass); what is more must be named by the maker. What `dried` was the water inside paint and medium: it leaves those
 * lots in proportion to what in them is not solid, as much of them as weighs what was lost, so that the books weigh
 * what the bottle does. Too much is a gain, never hidden.
 * @throws Invalid when the scale shows less than the bottle itself, a loss goes unnamed, or more is said to have dried
 *   than could
 */
export function weighIn({ grossMg, tareMg, content, named }: WeighInInput): WeighInResult {
  mustBeAmounts('A weight', [grossMg, tareMg, ...content.flatMap((p) => [p.ul, p.densityGPerMl, p.solids])])
  if (grossMg < tareMg)
    throw new Invalid('The scale shows less than the empty bottle weighs. Check the tare, or weigh again.', 'gross')
  const netMg = grossMg - tareMg
  const bookedUl = contentUl(content)
  const bookedMg = content.reduce((sum, p) => sum + p.ul * p.densityGPerMl, 0)
  if (bookedUl === 0)
    throw new Invalid('This bottle is empty by the books. Top it up instead of weighing it in.', 'gross')
  const none = { evaporated: [], waterUl: 0, lost: [], gained: [] }
  const diffMg = netMg - bookedMg
  // Less than a microlitre either way is rounding.
  const density = bookedMg / bookedUl
  if (Math.abs(diffMg) < density) return { measuredUl: bookedUl, ...none }
  if (diffMg > 0) {
    const gainUl = Math.round(diffMg / density)
    return { measuredUl: bookedUl + gainUl, ...none, gained: inProportion(content, gainUl) }
  }
  const water = content.filter((p) => p.isWater)
  const addedUl = contentUl(water)
  const waterDensity = water[0]?.densityGPerMl ?? WATER_G_PER_ML
  const lossMg = -diffMg
  const evaporatedUl = Math.min(addedUl, Math.round(lossMg / waterDensity))
  const evaporated = evaporatedUl > 0 ? inProportion(water, evaporatedUl) : []
  const restMg = lossMg - evaporatedUl * waterDensity
  if (restMg < density) return { measuredUl: bookedUl - evaporatedUl, ...none, evaporated, waterUl: evaporatedUl }
  const remaining = content.map((p) => ({
    ...p,
    ul: p.ul - (evaporated.find((e) => e.lotId === p.lotId)?.ul ?? 0),
  }))
  const remainingUl = contentUl(remaining)
  if (named === 'dried') {
    const dried = dry(restMg, remaining)
    return {
      ...none,
      measuredUl: remainingUl - contentUl(dried),
      evaporated: [...evaporated, ...dried],
      waterUl: evaporatedUl + Math.round(restMg / WATER_G_PER_ML),
    }
  }
  const remainingMg = remaining.reduce((sum, p) => sum + p.ul * p.densityGPerMl, 0)
  const lostUl = Math.min(remainingUl, Math.round((restMg * remainingUl) / remainingMg))
  if (!named)
    throw new Invalid(
      `The bottle lost ${formatMl(evaporatedUl + lostUl)}, and ${addedUl > 0 ? `only ${formatMl(addedUl)}` : 'no'} water was added that could evaporate. Say whether ${addedUl > 0 ? 'the rest' : 'it'} dried, was spilled or stuck to the walls.`,
      'named',
    )
  return {
    ...none,
    measuredUl: remainingUl - lostUl,
    evaporated,
    waterUl: evaporatedUl,
    lost: inProportion(remaining, lostUl),
  }
}

/** Takes the water inside paint and medium: portions that together weigh `mg`. */
function dry(mg: number, content: WeighInInput['content']): Portion[] {
  const moist = content
    .map((p) => ({ ...p, ul: Math.round(p.ul * (1 - p.solids)) }))
    .filter((p) => p.ul > 0 && !p.isWater)
  const insideUl = contentUl(moist)
  if (mg > insideUl * WATER_G_PER_ML)
    throw new Invalid(
      `The bottle lost ${formatMl(mg / WATER_G_PER_ML)} and there is no more than ${formatMl(insideUl)} of water in its paint and medium. Say whether it was spilled or stuck to the walls.`,
      'named',
    )
  const moistMg = moist.reduce((sum, p) => sum + p.ul * p.densityGPerMl, 0)
  return inProportion(moist, Math.min(insideUl, Math.round((mg * insideUl) / moistMg)))
}
