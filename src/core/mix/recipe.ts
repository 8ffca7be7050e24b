import { Invalid, OverCapacity } from '../errors'
import { mustBeAmounts } from '../mustBe'
import { formatMl } from '../quantity/format'
import { apportionParts } from './apportion'

export type IngredientKind = 'paint' | 'medium' | 'water' | 'additive'

/** One line of a recipe by volume parts. */
export interface Ingredient {
  readonly materialId: string
  readonly kind: IngredientKind
  /** ≥ 0, by volume. */
  readonly parts: number
}

/** A recipe as it is thought of: a colour formula, and how it is carried. */
export interface Recipe {
  /** The colour formula: paints by parts among themselves. */
  readonly paints: readonly { materialId: string; parts: number }[]
  /** How many parts of the whole all paints together are (the 1 of 1 : 2). */
  readonly paintParts: number
  readonly mediums: readonly { materialId: string; parts: number }[]
  readonly water?: { materialId: string; parts: number } | undefined
}

/**
 * The recipe as one list of ingredients, the formula's paints scaled to `paintParts`.
 * @throws Invalid when there is nothing in it, or a part is below zero
 */
export function ingredients(recipe: Recipe): Ingredient[] {
  const formulaParts = recipe.paints.reduce((sum, p) => sum + p.parts, 0)
  if ([...recipe.paints, ...recipe.mediums, recipe.water ?? { parts: 0 }].some((x) => !(x.parts >= 0)))
    throw new Invalid('Parts cannot be below zero. Type 0 to leave something out.')
  const paints = recipe.paints.map((p) => ({
    materialId: p.materialId,
    kind: 'paint' as const,
    parts: formulaParts > 0 ? (p.parts / formulaParts) * recipe.paintParts : 0,
  }))
  const mediums = recipe.mediums.map((m) => ({ ...m, kind: 'medium' as const }))
  const water = recipe.water ? [{ ...recipe.water, kind: 'water' as const }] : []
  const all: Ingredient[] = [...paints, ...mediums, ...water].filter((i) => i.parts > 0)
  if (all.length === 0) throw new Invalid('The recipe is empty. Choose a paint or a medium and give it parts.')
  return all
}

/** Amounts in whole µl for a wanted total; they sum to it exactly. @throws Invalid for what is no number */
export function amountsForTotal(list: readonly Ingredient[], totalUl: number): number[] {
  mustBeAmounts('An amount', [totalUl, ...list.map((i) => i.parts)])
  return apportionParts(
    totalUl,
    list.map((i) => i.parts),
  )
}

/**
 * Amounts in whole µl when one ingredient is given ("all that is left in this tube").
 * @throws Invalid when that ingredient has no parts
 */
export function amountsForPart(list: readonly Ingredient[], index: number, ul: number): number[] {
  mustBeAmounts('An amount', [ul, ...list.map((i) => i.parts)])
  const given = list[index]
  if (!given || given.parts <= 0)
    throw new Invalid('That ingredient has no parts in this recipe, so nothing can be scaled from it.')
  return list.map((i, k) => (k === index ? ul : Math.round((ul * i.parts) / given.parts)))
}

export interface Rescued {
  /** New target of each ingredient, µl; never below what was poured. */
  readonly targetsUl: number[]
  readonly totalUl: number
  /** How much more the batch becomes than was planned, µl. */
  readonly extraUl: number
}

/**
 * After an overshoot: everything poured stays, every other target rises in ratio. The batch scale is the largest of
 * poured / parts; nothing is ever to be taken out.
 * @param poured µl of each ingredient, undefined for what has not been poured yet
 * @throws OverCapacity when the cup cannot hold the rescued batch; Invalid for what is no number
 */
export function rescale(
  list: readonly Ingredient[],
  plannedUl: readonly number[],
  poured: readonly (number | undefined)[],
  cup?: { vesselId: string; capacityUl: number },
): Rescued {
  mustBeAmounts('An amount', [...plannedUl, ...poured, ...list.map((i) => i.parts), cup?.capacityUl])
  const planned = plannedUl.reduce((a, b) => a + b, 0)
  let driver = -1
  let scale = 0
  list.forEach((ingredient, i) => {
    const amount = poured[i]
    const wanted = plannedUl[i]!
    if (amount !== undefined && amount > wanted && ingredient.parts > 0 && amount / ingredient.parts > scale) {
      scale = amount / ingredient.parts
      driver = i
    }
  })
  const targetsUl =
    driver < 0
      ? [...plannedUl]
      : list.map((ingredient, i) => Math.max(poured[i] ?? 0, Math.round(scale * ingredient.parts)))
  const totalUl = targetsUl.reduce((a, b) => a + b, 0)
  if (cup && totalUl > cup.capacityUl)
    throw new OverCapacity(
      `To keep the ratio the batch grows to ${formatMl(totalUl)}, and the cup holds ${formatMl(cup.capacityUl)}. Move to a larger cup, or split it over two.`,
      { vesselId: cup.vesselId, capacityUl: cup.capacityUl, wouldHoldUl: totalUl },
    )
  return { targetsUl, totalUl, extraUl: totalUl - planned }
}
