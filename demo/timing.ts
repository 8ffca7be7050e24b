import { v7 as uuidv7 } from 'uuid'
import { timed } from '@/core/consistency/levelTime'
import { readBottle } from '@/db/bottles/readings'
import type { Tx } from '@/db/base/withStudio'

/** A bottle is read by the watch. @param tries seconds of each */
export function readByWatch(tx: Tx, vesselId: string, tries: readonly number[], at: Date): Promise<void> {
  const { levelTimeS, sigma } = timed(tries)
  return readBottle(tx, { requestId: uuidv7(), vesselId, levelTimeS, sigma, tries: [...tries], how: 'stopwatch' }, at)
}
