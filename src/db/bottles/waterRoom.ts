import { groupBy } from '@/core/groupBy'
import { judgeWater, type WaterVerdict } from '@/core/mix/waterLimit'
import { portionsOf } from './read'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'

/** What the house's limit says of the water in bottles, by bottle; an empty one is not in it. */
export async function waterVerdicts(tx: Tx, vesselIds: readonly string[]): Promise<Map<string, WaterVerdict>> {
  if (vesselIds.length === 0) return new Map()
  const { water: rule } = await studioFacts(tx)
  const content = groupBy(await portionsOf(tx, vesselIds), (p) => p.vesselId)
  return new Map([...content].map(([id, portions]) => [id, judgeWater(portions, rule)]))
}
