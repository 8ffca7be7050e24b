/** A recipe by parts: what a bottle was mixed of. */
export interface PartedRecipe {
  readonly paints: readonly { readonly materialId: string; readonly parts: number }[]
  /** Parts of all paints together in the mix. */
  readonly paintParts: number
  readonly mediums: readonly { readonly materialId: string; readonly parts: number }[]
  readonly water: { readonly materialId: string; readonly parts: number } | null
}

/** What of each material a volume of a mix takes, µl, added to `needs`. */
export function addMaterials(needs: Map<string, number>, recipe: PartedRecipe, ul: number): void {
  const sum = (list: readonly { parts: number }[]) => list.reduce((all, m) => all + m.parts, 0)
  const paint = sum(recipe.paints)
  const total = recipe.paintParts + sum(recipe.mediums) + (recipe.water?.parts ?? 0)
  if (!(total > 0)) return
  const add = (id: string, share: number) => needs.set(id, (needs.get(id) ?? 0) + Math.ceil(ul * share))
  for (const p of recipe.paints) if (paint > 0) add(p.materialId, (recipe.paintParts / total) * (p.parts / paint))
  for (const m of recipe.mediums) add(m.materialId, m.parts / total)
}
