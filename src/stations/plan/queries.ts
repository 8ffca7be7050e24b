import { costOf } from '@/core/purchase/cost'
import { bottlesInUse, portionsOf, type LotPortion } from '@/db/bottles'
import type { Tx } from '@/db/withStudio'
import type { PricedBottle } from './pricedBottle'

/** Bottles one can plan with, each with what a millilitre of it cost. */
export async function pricedBottles(tx: Tx): Promise<PricedBottle[]> {
  const bottles = await bottlesInUse(tx)
  const portions = await portionsOf(
    tx,
    bottles.map((b) => b.id),
  )
  const byVessel = new Map<string, LotPortion[]>()
  for (const p of portions) byVessel.set(p.vesselId, [...(byVessel.get(p.vesselId) ?? []), p])
  return bottles.map((b) => ({
    ...b,
    costPerMl: b.ul > 0 ? (costOf(byVessel.get(b.id) ?? []).minor * 1000) / b.ul : 0,
  }))
}
