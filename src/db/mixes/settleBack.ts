import { moveOf } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'
import { goingBack, putBack } from '../ledger/before'
import type { Undone } from '../ledger/undo'
import { refreshKeep } from './keep'
import { settle } from './settle'
import { recount } from './water'

/**
 * After an undo bottles are again what they were, in every column that is still as the movement left it. Where something
 * else has come into one since, or nobody noted what it was, what follows from its content is worked out from that.
 */
export async function settleBack(tx: Tx, { kind, back, touched, changed }: Undone): Promise<void> {
  const { alters, keeps } = moveOf(kind)
  if (!alters) return
  if (alters !== 'makes') {
    const noted = new Set(changed.filter((c) => !c.alteredSince || !c.after).map((c) => c.vesselId))
    const altered = new Set(back.flatMap((l) => (alters === 'in' ? [l.from, l.to] : [l.from])))
    const anew = touched.filter((id) => altered.has(id) && !noted.has(id))
    for (const id of anew) await recount(tx, id, back)
    if (keeps) await refreshKeep(tx, anew)
  }
  await settle(tx, touched, false)
  for (const c of changed) await putBack(tx, c, goingBack(c))
}
