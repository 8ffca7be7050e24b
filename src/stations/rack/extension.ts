import { extendTo } from '@/core/mix/amounts'
import { contentByMaterial } from '@/db/mixes'
import type { Tx } from '@/db/base/withStudio'

/** What brings a bottle to a volume in the ratio of what it holds. @throws Invalid when it holds nothing, or as much */
export async function extension(tx: Tx, vesselId: string, totalUl: number) {
  return extendTo(await contentByMaterial(tx, vesselId), totalUl)
}
