import { groupBy } from '../groupBy'
import type { PlanAmounts } from '../plan/amounts'
import { coatUl } from '../plan/coats'
import { cupsOn } from '../plan/cupsAlike'
import type { Design, PlannedCup } from '../plan/design'
import { byFace, type PieceOfPlan } from './pieces'
import type { RunCoat, RunCup } from './runPlan'

/**
 * Cups and coats of a plan as they stand on the table: one cup for each copy and piece, one coat for each piece it lies
 * on. What names no bottle yet is left out: it cannot be poured.
 * @param pieces objects of the plan with their ids in this run
 * @param newId makes an id
 */
export function tableOf(
  design: Design,
  amounts: PlanAmounts,
  pieces: readonly (PieceOfPlan & { readonly id: string })[],
  newId: () => string,
): { cups: RunCup[]; coats: RunCoat[] } {
  const cups = pieces.flatMap((piece) =>
    cupsOn(design, piece.surfaceId).flatMap((c) =>
      Array.from({ length: c.copies }, (_, copy) => oneCup(c, copy, piece.id, amounts, newId)),
    ),
  )
  const coats = design.coats.flatMap((coat) => {
    const on = pieces.filter((p) => coat.on === null || coat.on === p.surfaceId)
    if (coat.of?.kind !== 'bottle' || on.length === 0) return []
    const ul = byFace(coatUl(coat, design.surfaces), on)
    return on.flatMap((p, i): RunCoat[] =>
      ul[i]! > 0 ? [{ id: newId(), role: coat.role, piece: p.id, bottle: coat.of!.id, ul: ul[i]! }] : [],
    )
  })
  return { cups: titled(cups), coats }
}

function oneCup(c: PlannedCup, copy: number, piece: string, amounts: PlanAmounts, newId: () => string): RunCup {
  const filled = amounts.cups.find((f) => f.id === c.id)!
  const layers = c.layers.flatMap((l) => {
    const ul = Math.round(filled.layers.find((f) => f.layer === l.id)!.ul / Math.max(1, filled.cups))
    return l.of?.kind === 'bottle' && ul > 0 ? [{ id: l.id, bottle: l.of.id, ul, how: l.how }] : []
  })
  return {
    id: newId(),
    title: '',
    piece,
    kind: c.kind,
    sizeUl: c.sizeUl ?? filled.smallestUl,
    turnDeg: c.turnDeg + (360 * copy) / c.copies,
    layers,
  }
}

/** Cups are called by their number over the whole table, in the order of the pieces. */
function titled(cups: readonly RunCup[]): RunCup[] {
  const pieces = [...groupBy(cups, (c) => c.piece).keys()]
  return cups.map((c, i) => ({ ...c, title: pieces.length > 1 || cups.length > 1 ? `Cup ${i + 1}` : 'The cup' }))
}
