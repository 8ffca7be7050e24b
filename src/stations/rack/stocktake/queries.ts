import { groupBy } from '@/core/groupBy'
import { bottleTares, portionsOf } from '@/db/bottles/read'
import { rackBottles } from '@/db/bottles/rack'
import { weighable } from '@/db/bottles/stocktake'
import type { Tx } from '@/db/base/withStudio'

/** A bottle to be weighed: what the books say is in it, and what it weighs empty. */
export interface ToWeigh {
  readonly id: string
  readonly code: string
  readonly label: string
  readonly role: string
  readonly palette: string
  readonly hex: string | null
  readonly sheen: string
  readonly isJar: boolean
  readonly ul: number
  readonly capacityUl: number | null
  readonly tareMg: number | null
  readonly content: readonly ReturnType<typeof weighable>[]
}

/** Everything on the rack, palette by palette, as it would be walked along. */
export async function toWeigh(tx: Tx): Promise<ToWeigh[]> {
  const bottles = await rackBottles(tx, false)
  const ids = bottles.map((b) => b.id)
  const tares = await bottleTares(tx, ids)
  const content = groupBy(await portionsOf(tx, ids), (p) => p.vesselId)
  return bottles
    .map(({ id, code, label, role, palette, hex, sheen, isJar, ul, capacityUl }) => ({
      id,
      code,
      label,
      role,
      palette,
      hex,
      sheen,
      isJar,
      ul,
      capacityUl,
      tareMg: tares.get(id) ?? null,
      content: (content.get(id) ?? []).map(weighable),
    }))
    .sort((a, b) => a.palette.localeCompare(b.palette) || a.label.localeCompare(b.label))
}
