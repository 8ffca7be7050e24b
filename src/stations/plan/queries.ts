import { costOf } from '@/core/purchase/cost'
import { groupBy } from '@/core/groupBy'
import { bottlesInUse, portionsOf } from '@/db/bottles/read'
import type { Tx } from '@/db/base/withStudio'
import type { PricedBottle } from './pricedBottle'

/** Bottles one can plan with, each with what a millilitre of it cost. */
export async function pricedBottles(tx: Tx): Promise<PricedBottle[]> {
  const bottles = await bottlesInUse(tx)
  const portions = await portionsOf(
    tx,
    bottles.map((b) => b.id),
  )
  const byVessel = groupBy(portions, (p) => p.vesselId)
  return bottles.map((b) => ({
    ...b,
    costPerMl: b.ul > 0 ? (costOf(byVessel.get(b.id) ?? []).minor * 1000) / b.ul : 0,
  }))
}
