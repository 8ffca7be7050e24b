import { Invalid } from '../errors'
import { mustBeAmounts } from '../mustBe'
import type { IngredientKind, Recipe } from './recipe'

/** Something that went into the cup: a material with its volume. A mix that was poured in is given by its own parts. */
export interface Addition {
  readonly materialId: string
  readonly name: string
  readonly kind: IngredientKind
  readonly ul: number
}

export interface ReadRecipe {
  readonly recipe: Recipe
  /** Medium : paint : water as parts of the paint, `2 : 1 : 0.2` read as [2, 1, 0.2]; paint 0 where there is none. */
  readonly ratio: readonly [number, number, number]
  /** What each material is of the whole, largest first, summing to 1. */
  readonly shares: readonly { readonly materialId: string; readonly name: string; readonly share: number }[]
  readonly totalUl: number
}

/**
 * A volume of a mix as additions of what is in it, in proportion; with them a leftover that is poured in brings its
 * own composition along.
 * @param content what the bottle holds, µl each
 */
export function portionsOfMix(ul: number, content: readonly Addition[]): Addition[] {
  mustBeAmounts('An amount', [ul, ...content.map((c) => c.ul)])
  const total = content.reduce((s, c) => s + c.ul, 0)
  if (!(total > 0)) throw new Invalid('That bottle is empty, so nothing can come out of it.')
  return content.map((c) => ({ ...c, ul: (ul * c.ul) / total }))
}

/**
 * Reads a recipe back from what was poured by eye: the colour formula, how it is carried, and the shares. The water
 * is the one there is most of.
 * @throws Invalid where nothing was poured
 */
export function readBack(additions: readonly Addition[]): ReadRecipe {
  mustBeAmounts(
    'An amount',
    additions.map((a) => a.ul),
  )
  const byId = new Map<string, Addition>()
  for (const a of additions) {
    if (!(a.ul > 0)) continue
    const before = byId.get(a.materialId)
    byId.set(a.materialId, before ? { ...before, ul: before.ul + a.ul } : a)
  }
  const all = [...byId.values()].sort((x, y) => y.ul - x.ul)
  const totalUl = all.reduce((s, a) => s + a.ul, 0)
  if (!(totalUl > 0)) throw new Invalid('Nothing has been poured yet. Pour something in, and the recipe is read back.')
  const of = (...kinds: IngredientKind[]) => all.filter((a) => kinds.includes(a.kind))
  const sum = (list: readonly Addition[]) => list.reduce((s, a) => s + a.ul, 0)
  const [paints, mediums, waters] = [of('paint'), of('medium', 'additive'), of('water')]
  // Parts of the paint where there is paint; otherwise of the whole.
  const unit = sum(paints) || totalUl
  const parts = (a: Addition) => ({ materialId: a.materialId, parts: a.ul / unit })
  return {
    recipe: {
      paints: paints.map(parts),
      paintParts: paints.length ? 1 : 0,
      mediums: mediums.map(parts),
      water: waters[0] ? { materialId: waters[0].materialId, parts: sum(waters) / unit } : undefined,
    },
    ratio: [sum(mediums) / unit, paints.length ? 1 : 0, sum(waters) / unit],
    shares: all.map(({ materialId, name, ul }) => ({ materialId, name, share: ul / totalUl })),
    totalUl,
  }
}
