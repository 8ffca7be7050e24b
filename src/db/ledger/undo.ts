import { Conflict, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import type { MovementKind } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'
import { book, type Booked, type HeldVessel, type Line } from './book'
import { changedBy, type Changed } from './before'

/** A movement that was undone. */
export interface Undone {
  readonly movementId: string
  /** The request of the undo itself; ids of what follows from it are derived from it. */
  readonly requestId: string
  /** The lines that took everything back. */
  readonly back: readonly Line[]
  /** The vessels on either side. */
  readonly touched: readonly string[]
  readonly kind: MovementKind
  /** The bottles whose content it had changed, as they are, were before it and after it. */
  readonly changed: readonly Changed[]
}

/** What stands beside the ledger and follows a movement that is undone. */
export type Follow = (tx: Tx, undone: Undone) => Promise<void>

/** For every kind of movement, what its undo takes along; a kind that is not here does not compile. */
export type Followers = Readonly<Record<Exclude<MovementKind, 'undo'>, readonly Follow[]>>

/**
 * Undoes a movement by its mirror image. What was moved must still be where it went.
 * @param followers what stands beside the ledger and follows, by kind
 * @param settleBack makes of bottles again what they were
 * @throws Conflict when something has been used since (says which vessel has what), or it was undone already
 */
export async function undoMovement(
  tx: Tx,
  input: { requestId: string; movementId: string },
  followers: Followers,
  settleBack: Follow,
): Promise<Booked> {
  const [movement] = await tx.q<{ kind: MovementKind }>('select kind from movement where studio_id = $1 and id = $2', [
    tx.studioId,
    input.movementId,
  ])
  if (!movement) throw new NotFound('movement')
  const { kind } = movement
  if (kind === 'undo') throw new Conflict('An undo cannot be undone. Book what really happened instead.')
  const lines = await tx.q<{ lot_id: string; from_id: string | null; to_id: string | null; ul: number }>(
    `select lot_id, from_vessel_id as from_id, to_vessel_id as to_id, ul from movement_line
     where studio_id = $1 and movement_id = $2 order by line_no`,
    [tx.studioId, input.movementId],
  )
  const back: Line[] = lines.map((l) => ({ lotId: l.lot_id, from: l.to_id, to: l.from_id, ul: l.ul }))
  const touched = [...new Set(back.flatMap((l) => [l.from, l.to]).filter((id): id is string => id !== null))]
  let changed: Awaited<ReturnType<typeof changedBy>> = []
  return book(tx, {
    kind: 'undo',
    requestId: input.requestId,
    payload: { reverses: input.movementId },
    reversesId: input.movementId,
    vessels: touched,
    async decide(held) {
      refuseUsed(back, held)
      changed = await changedBy(tx, input.movementId)
      return back
    },
    async follow() {
      const undone = { ...input, kind, back, touched, changed }
      for (const follow of [...followers[kind], settleBack]) await follow(tx, undone)
    },
  })
}

/** @throws Conflict naming the first vessel that holds less of an ingredient than would go back */
function refuseUsed(back: readonly Line[], held: (id: string) => HeldVessel): void {
  for (const id of new Set(back.map((l) => l.from))) {
    if (id === null) continue
    const vessel = held(id)
    // What went into a sink is still there: only this undo can take it out, and it books once.
    if (vessel.sink) continue
    for (const { lotId } of back.filter((l) => l.from === id)) {
      const needs = back.reduce((sum, l) => sum + (l.from === id && l.lotId === lotId ? l.ul : 0), 0)
      const has = vessel.content.find((p) => p.lotId === lotId)?.ul ?? 0
      if (has < needs)
        throw new Conflict(
          `${vessel.label} has been used since: ${formatMl(has)} of one ingredient is left and ${formatMl(needs)} would go back. Undo the later steps first.`,
          { vesselId: id, haveUl: has, needUl: needs },
        )
    }
  }
}
