import { NotFound } from '@/core/errors'
import { bottleNames, materialNames } from '@/db/materials/mixable'
import type { Source } from '@/db/ledger'
import type { RecipeSnapshot } from '@/db/mixes'
import type { Tx } from '@/db/base/withStudio'

/** What was poured, as the ledger takes it: an id is a material's, or that of a bottle whose mix went in. */
export async function sourcesOf(tx: Tx, poured: readonly { materialId: string; ul: number }[]): Promise<Source[]> {
  const bottles = await bottleNames(
    tx,
    poured.map((p) => p.materialId),
  )
  return poured.map((p) => (bottles.has(p.materialId) ? { vesselId: p.materialId, ul: p.ul } : p))
}

interface Shares {
  readonly paintParts: number
  readonly paints: readonly { materialId: string; parts: number }[]
  readonly mediums: readonly { materialId: string; parts: number }[]
  readonly water: { materialId: string; parts: number } | null
  readonly drops?: readonly { materialId: string; parts: number }[]
}

/** The recipe as mixed, with the names of today. @throws NotFound for a material of another studio */
export async function snapshot(tx: Tx, mix: Shares): Promise<RecipeSnapshot> {
  const ids = [...mix.paints, ...mix.mediums, ...(mix.water ? [mix.water] : []), ...(mix.drops ?? [])].map(
    (x) => x.materialId,
  )
  const names = new Map([...(await materialNames(tx, ids)), ...(await bottleNames(tx, ids))])
  const named = (x: { materialId: string; parts: number }) => {
    const name = names.get(x.materialId)
    if (!name) throw new NotFound('paint or medium')
    return { materialId: x.materialId, name, parts: x.parts }
  }
  return {
    paintParts: mix.paintParts,
    paints: mix.paints.map(named),
    mediums: mix.mediums.map(named),
    water: mix.water ? named(mix.water) : null,
    ...(mix.drops?.length ? { drops: mix.drops.map(named) } : {}),
  }
}
