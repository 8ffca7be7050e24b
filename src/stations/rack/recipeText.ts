import { formatRatio } from '@/core/quantity/ratio'
import type { RecipeSnapshot } from '@/db/mixes'

/**
 * A recipe in one line, as it is written on a label: `Teal 3 : White 1, then 1 : 2 Flow : 0.3 Distilled water`.
 */
export function recipeText(recipe: RecipeSnapshot): string {
  const { paints, paintParts, mediums, water, drops = [] } = recipe
  const colour =
    paints.length === 1 ? paints[0]!.name : paints.map((p) => `${p.name} ${formatRatio([p.parts])}`).join(' : ')
  const rest = [...mediums, ...(water ? [water] : [])].map((m) => `${formatRatio([m.parts])} ${m.name}`)
  const counted = drops.map((d) => `, ${formatRatio([d.parts])} drops ${d.name} to 100 ml`).join('')
  if (paints.length === 0) return rest.join(' : ') + counted
  if (rest.length === 0) return colour + counted
  return `${colour}; paint ${formatRatio([paintParts])} : ${rest.join(' : ')}${counted}`
}
