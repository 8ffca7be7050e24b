import type { BottleFull, LotPortion } from '@/db/bottles'
import type { Paints } from '../shown'
import type { MendStart } from './MendDesk'

/** A bottle as a cup to mend: its paints in ml, what carries them, and the room above. */
export function cupOf(bottle: BottleFull | undefined, portions: readonly LotPortion[], paints: Paints): MendStart {
  if (!bottle) return { bottleId: null, rows: [], besidesUl: 0, roomUl: null }
  const byPaint = new Map<string, number>()
  let besidesUl = 0
  for (const p of portions) {
    if (p.kind === 'paint' && paints.has(p.materialId)) byPaint.set(p.materialId, (byPaint.get(p.materialId) ?? 0) + p.ul)
    else besidesUl += p.ul
  }
  return {
    bottleId: bottle.id,
    rows: [...byPaint].map(([id, ul]) => ({ id, amount: String(ul / 1000) })),
    besidesUl,
    roomUl: bottle.capacityUl === null ? null : Math.max(0, bottle.capacityUl - bottle.ul),
  }
} // prettier-ignore
