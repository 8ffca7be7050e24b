import { Invalid } from '../errors'
import { formatMl } from '../quantity/format'
import { apportion } from '../mix/apportion'
import { contentUl, type Portion } from './content'

export interface WeighInInput {
  /** Mass on the scale with the bottle, mg. */
  readonly grossMg: number
  /** Mass of the empty bottle, mg. */
  readonly tareMg: number
  /** Content by the books; `isWater` marks lots of water, which alone evaporate. `densityGPerMl` of the lot. */
  readonly content: readonly (Portion & { isWater: boolean; densityGPerMl: number })[]
  /** What the maker says happened to a loss that is more than evaporation can explain. */
  readonly named?: 'spilled' | 'residue' | undefined
}

export interface WeighInResult {
  readonly measuredUl: number
  readonly evaporated: Portion[]
  readonly lost: Portion[]
  /** Found more than booked: a measuring gain, in proportion to the content. */
  readonly gained: Portion[]
}

/**
 * Books a bottle by weight. Remaining = (gross − tare) / ρ. A loss is evaporated water first (water lots only, by
 * their own mass), what is more must be named by the maker; too much is a gain, never hidden.
 * @throws Invalid when the scale shows less than the bottle itself, or a loss goes unnamed
 */
export function weighIn({ grossMg, tareMg, content, named }: WeighInInput): WeighInResult {
  if (grossMg < tareMg)
    throw new Invalid('The scale shows less than the empty bottle weighs. Check the tare, or weigh again.', 'gross')
  const netMg = grossMg - tareMg
  const bookedUl = contentUl(content)
  const bookedMg = content.reduce((sum, p) => sum + p.ul * p.densityGPerMl, 0)
  if (bookedUl === 0)
    throw new Invalid('This bottle is empty by the books. Top it up instead of weighing it in.', 'gross')
  const none = { evaporated: [], lost: [], gained: [] }
  const diffMg = netMg - bookedMg
  // Less than a microlitre either way is rounding.
  const density = bookedMg / bookedUl
  if (Math.abs(diffMg) < density) return { measuredUl: bookedUl, ...none }
  if (diffMg > 0) {
    const gainUl = Math.round(diffMg / density)
    return { measuredUl: bookedUl + gainUl, ...none, gained: split(gainUl, content) }
  }
  const water = content.filter((p) => p.isWater)
  const waterUl = contentUl(water)
  const waterDensity = water[0]?.densityGPerMl ?? 1
  const lossMg = -diffMg
  const evaporatedUl = Math.min(waterUl, Math.round(lossMg / waterDensity))
  const evaporated = evaporatedUl > 0 ? split(evaporatedUl, water) : []
  const restMg = lossMg - evaporatedUl * waterDensity
  if (restMg < density) return { measuredUl: bookedUl - evaporatedUl, ...none, evaporated }
  const remaining = content.map((p) => ({
    ...p,
    ul: p.ul - (evaporated.find((e) => e.lotId === p.lotId)?.ul ?? 0),
  }))
  const remainingUl = contentUl(remaining)
  const remainingMg = remaining.reduce((sum, p) => sum + p.ul * p.densityGPerMl, 0)
  const lostUl = Math.min(remainingUl, Math.round((restMg * remainingUl) / remainingMg))
  if (!named)
    throw new Invalid(
      `The bottle lost ${formatMl(evaporatedUl + lostUl)}, more than its water (${formatMl(waterUl)}) can explain. Say whether the rest was spilled or stuck to the walls.`,
      'named',
    )
  return { measuredUl: remainingUl - lostUl, evaporated, lost: split(lostUl, remaining), gained: [] }
}

function split(ul: number, content: readonly Portion[]): Portion[] {
  const shares = apportion(
    ul,
    content.map((p) => p.ul),
  )
  return content.map((p, i) => ({ lotId: p.lotId, ul: shares[i]! })).filter((p) => p.ul > 0)
}
