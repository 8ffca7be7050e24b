import { mustBeAbove0 } from '../mustBe'
import { Invalid } from '../errors'
import { amountsForPart, amountsForTotal, type Ingredient } from './recipe'

/** How a recipe is scaled: to a total, from one ingredient, from all that is left of one, or to a number of cups. */
export type ScaleBy =
  | { readonly by: 'total'; readonly ul: number }
  | { readonly by: 'ingredient'; readonly materialId: string; readonly ul: number }
  | { readonly by: 'left'; readonly materialId: string; readonly leftUl: number | null }
  | { readonly by: 'cups'; readonly cups: number; readonly cupUl: number }

/** The whole a scale asks for, µl; undefined where it comes from an ingredient. @throws Invalid saying what to type */
export function wantedTotalUl(scale: ScaleBy): number | undefined {
  if (scale.by === 'total') return scale.ul
  if (scale.by !== 'cups') return undefined
  if (!(scale.cups > 0) || !(scale.cupUl > 0))
    throw new Invalid('Type how many cups, and what one holds, like 6 and 90 ml.', 'cups')
  return Math.round(scale.cups * scale.cupUl)
}

/**
 * Amounts in whole µl, one for each ingredient.
 * @throws Invalid saying what to type where it cannot be scaled
 */
export function scaledAmounts(list: readonly Ingredient[], scale: ScaleBy): number[] {
  if (scale.by === 'total' || scale.by === 'cups') return amountsForTotal(list, wantedTotalUl(scale)!)
  const index = list.findIndex((i) => i.materialId === scale.materialId)
  if (index < 0) throw new Invalid('Choose the ingredient it is scaled from.', 'ingredient')
  if (scale.by === 'ingredient') return amountsForPart(list, index, scale.ul)
  if (scale.leftUl === null)
    throw new Invalid('Nobody has counted this one. Book its container, or type how much there is.', 'ingredient')
  if (scale.leftUl === 0) throw new Invalid('Nothing is left of this one. Book a new container first.', 'ingredient')
  return amountsForPart(list, index, scale.leftUl)
}

/**
 * What brings a bottle to a volume in its own ratio: what it holds of each, scaled to what is missing.
 * @param content µl of each material in the bottle
 * @throws Invalid when it holds nothing, or that much already
 */
export function extendTo(content: readonly { materialId: string; ul: number }[], totalUl: number) {
  const have = content.reduce((s, c) => s + c.ul, 0)
  if (have === 0) throw new Invalid('This bottle is empty, so it has no ratio to keep. Mix its recipe anew.')
  if (totalUl <= have) throw new Invalid('It holds that much already. Type a larger volume.', 'amount')
  const list = content.map((c) => ({ materialId: c.materialId, kind: 'paint' as const, parts: c.ul }))
  const amounts = amountsForTotal(list, totalUl - have)
  return content.map((c, i) => ({ materialId: c.materialId, ul: amounts[i]! })).filter((c) => c.ul > 0)
}

/**
 * A scale that says fluid ounces takes everything for water. What is then missing, as a share of the volume: at
 * 1.25 g/ml a fifth (0.2) too little is poured; below zero: too much.
 */
export function fluidOunceError(densityGPerMl: number): number {
  mustBeAbove0('A density', densityGPerMl)
  return 1 - 1 / densityGPerMl
}
