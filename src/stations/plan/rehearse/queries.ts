import { secondsPerNu } from '@/core/consistency/flowCup'
import { readBothWays } from '@/db/bottles/readings'
import type { Tx } from '@/db/base/withStudio'

/** Seconds of level time per mm²/s as this studio has read it, or the start value. */
export async function secondsPerNuHere(tx: Tx): Promise<number> {
  const pairs = await readBothWays(tx)
  return secondsPerNu(pairs.flatMap(({ levelTimeS, nu }) => (nu === null ? [] : [{ levelTimeS, nu }])))
}
