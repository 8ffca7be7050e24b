import type { MaterialKind } from '@/core/paint/properties'
import { readBack } from '@/core/mix/readBack'
import type { RecipeSnapshot } from './recipeSnapshot'
import type { Tx } from '../base/withStudio'

/** What a vessel holds by material, µl, largest first. */
export function contentByMaterial(tx: Tx, vesselId: string) {
  return tx.q<{ materialId: string; name: string; kind: MaterialKind; ul: number }>(
    `select m.id as "materialId", m.name, m.kind, sum(c.ul)::bigint as ul
     from vessel_content c
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where c.studio_id = $1 and c.vessel_id = $2 and c.ul > 0 group by m.id, m.name, m.kind order by ul desc, m.id`,
    [tx.studioId, vesselId],
  )
}

/** The recipe of what a vessel holds, read back from its content. */
export async function recipeOfContent(tx: Tx, vesselId: string): Promise<RecipeSnapshot> {
  return snapshotOf(await contentByMaterial(tx, vesselId))
}

/** A recipe as it is kept with a bottle, from what is in it. */
export function snapshotOf(
  content: readonly { materialId: string; name: string; kind: MaterialKind; ul: number }[],
): RecipeSnapshot {
  if (content.length === 0) return { paintParts: 0, paints: [], mediums: [], water: null }
  const { recipe } = readBack(content)
  const names = new Map(content.map((c) => [c.materialId, c.name]))
  const named = (x: { materialId: string; parts: number }) => ({
    ...x,
    parts: Math.round(x.parts * 1000) / 1000,
    name: names.get(x.materialId)!,
  })
  return {
    paintParts: recipe.paintParts,
    paints: recipe.paints.map(named),
    mediums: recipe.mediums.map(named),
    water: recipe.water ? named(recipe.water) : null,
  }
}
