import { Conflict, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import type { MovementKind } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'
import { book, type Booked, type HeldVessel, type Line } from './book'
import { refreshLook } from './colour'

/** A movement that was undone. */
export interface Undone {
  readonly movementId: string
  /** The request of the undo itself; ids of what follows from it are derived from it. */
  readonly requestId: string
  /** The lines that took everything back. */
  readonly back: readonly Line[]
  /** The vessels on either side. */
  readonly touched: readonly string[]
}

/** SQL: a movement was not undone. @param row alias of a row that names it, @param id in this column */
export const notUndone = (row: string, id = 'id'): string =>
  `not exists (select from movement u where u.studio_id = ${row}.studio_id and u.reverses_id = ${row}.${id})`

/** What stands beside the ledger and follows a movement that is undone. */
export type Follow = (tx: Tx, undone: Undone) => Promise<void>

/** For every kind of movement, what its undo takes along; a kind that is not here does not compile. */
export type Followers = Readonly<Record<Exclude<MovementKind, 'undo'>, readonly Follow[]>>

/**
 * Undoes a movement by its mirror image. What was moved must still be where it went.
 * @param followers what stands beside the ledger and follows, by kind
 * @throws Conflict when something has been used since (says which vessel has what), or it was undone already
 */
export async function undoMovement(
  tx: Tx,
  input: { requestId: string; movementId: string },
  followers: Followers,
): Promise<Booked> {
  const [movement] = await tx.q<{ kind: MovementKind }>('select kind from movement where studio_id = $1 and id = $2', [
    tx.studioId,
    input.movementId,
  ])
  if (!movement) throw new NotFound('movement')
  if (movement.kind === 'undo') throw new Conflict('An undo cannot be undone. Book what really happened instead.')
  const lines = await tx.q<{ lot_id: string; from_id: string | null; to_id: string | null; ul: number }>(
    `select lot_id, from_vessel_id as from_id, to_vessel_id as to_id, ul from movement_line
     where studio_id = $1 and movement_id = $2 order by line_no`,
    [tx.studioId, input.movementId],
  )
  const back: Line[] = lines.map((l) => ({ lotId: l.lot_id, from: l.to_id, to: l.from_id, ul: l.ul }))
  const touched = [...new Set(back.flatMap((l) => [l.from, l.to]).filter((id): id is string => id !== null))]
  const booked = await book(tx, {
    kind: 'undo',
    requestId: input.requestId,
    payload: { reverses: input.movementId },
    reversesId: input.movementId,
    vessels: touched,
    decide(held) {
      refuseUsed(back, held)
      return back
    },
  })
  if (!booked.replayed) {
    for (const follow of followers[movement.kind]) await follow(tx, { ...input, back, touched })
    await refreshLook(tx, touched)
  }
  return booked
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
