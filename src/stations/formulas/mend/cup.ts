import type { BottleFull, LotPortion } from '@/db/bottles/read'
import type { Paints } from '../shown'
import type { Row } from '../desk/deskDraft'

/** What carries the paint of a cup: mediums and waters by name, µl. They have no colour. */
export type Besides = readonly { readonly name: string; readonly ul: number }[]

export interface MendStart {
  readonly bottleId: string | null
  readonly rows: readonly Row[]
  readonly besides: Besides
  readonly roomUl: number | null
}

/** A bottle as a cup to mend: its paints in ml, what carries them, and the room above. */
export function cupOf(bottle: BottleFull | undefined, portions: readonly LotPortion[], paints: Paints): MendStart {
  if (!bottle) return { bottleId: null, rows: [], besides: [], roomUl: null }
  const byPaint = new Map<string, number>()
  const besides = new Map<string, number>()
  for (const p of portions) {
    if (p.kind === 'paint' && paints.has(p.materialId))
      byPaint.set(p.materialId, (byPaint.get(p.materialId) ?? 0) + p.ul)
    else besides.set(p.material, (besides.get(p.material) ?? 0) + p.ul)
  }
  return {
    bottleId: bottle.id,
    rows: [...byPaint].map(([id, ul]) => ({ id, amount: String(ul / 1000) })),
    besides: [...besides].map(([name, ul]) => ({ name, ul })),
    roomUl: bottle.capacityUl === null ? null : Math.max(0, bottle.capacityUl - bottle.ul),
  }
}

export const besidesUl = (besides: Besides) => besides.reduce((sum, b) => sum + b.ul, 0)

/** What else goes in with added paint, so that the cup pours as before: as much to it as the cup had to its own. */
export const takenAlong = (besides: Besides, paintUl: number, addedUl: number): Besides =>
  besides.map((b) => ({ ...b, ul: Math.round((b.ul * addedUl) / paintUl) })).filter((b) => b.ul > 0)
