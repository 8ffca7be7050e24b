import { NotFound } from '@/core/errors'
import { mixFacts } from '@/core/mix/mixFacts'
import { thinTo } from '@/core/vessel/thickening'
import type { FrozenBottle } from '@/core/run/events'
import type { RunState } from '@/core/run/runState'
import { bottlesById, portionsOf } from '../bottles/read'
import type { Tx } from '../base/withStudio'

const HOUR_MS = 3_600_000

/**
 * The state of a bottle as paint leaves it: by the books, by what was read and added at this run already.
 * @throws NotFound for a bottle of another studio
 */
export async function frozenBottle(
  tx: Tx,
  bottle: string,
  state: Pick<RunState, 'checks' | 'thinned'>,
  now: number,
): Promise<FrozenBottle> {
  const [b] = await bottlesById(tx, [bottle])
  if (!b) throw new NotFound('bottle')
  const portions = await portionsOf(tx, [bottle])
  const addedUl = state.thinned.reduce((sum, t) => sum + (t.bottle === bottle ? t.ul : 0), 0)
  const check = state.checks.get(bottle)
  const ms = (text: string | null) => (text === null ? null : Date.parse(text))
  const { expectedS } = thinTo(b, ms(b.readAt), now, null)
  const stirred = check?.at ?? ms(b.movedAt)
  return {
    hoursRested: Math.max(0, now - Math.max(Date.parse(b.mixedAt), ms(b.movedAt) ?? 0)) / HOUR_MS,
    ageHours: Math.max(0, now - Date.parse(b.mixedAt)) / HOUR_MS,
    expectedS: check?.levelTimeS ?? expectedS,
    readS: check?.levelTimeS ?? b.levelTimeS,
    minutesSinceStirred: stirred === null ? null : Math.max(0, now - stirred) / 60_000,
    ...mixFacts(portions, portions.length ? addedUl : 0),
    hasAdditive: b.hasAdditive,
    lots: portions.map((p) => ({ lotId: p.lotId, ul: p.ul })),
  }
}
