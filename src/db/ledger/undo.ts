import { Conflict, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { moveOf, type MovementKind } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'
import { book, type Booked, type HeldVessel, type Line } from './book'
import { changedBy, goingBack, putBack, type Changed } from './before'
import { refreshKeep } from './keep'
import { settle } from './settle'
import { recount } from './water'

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
  const booked = await book(tx, {
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
      for (const follow of followers[kind]) await follow(tx, { ...input, back, touched })
      await settleBack(tx, kind, back, touched, changed)
    },
  })
  return booked
}

/**
 * Bottles are again what they were, in every column that is still as the movement left it. Where something else has
 * come into one since, or nobody noted what it was, what follows from its content is worked out from that.
 */
async function settleBack(
  tx: Tx,
  kind: MovementKind,
  back: readonly Line[],
  touched: readonly string[],
  changed: readonly Changed[],
): Promise<void> {
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
