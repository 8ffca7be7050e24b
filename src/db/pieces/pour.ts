import { Conflict } from '@/core/errors'
import { byFace, piecesOf } from '@/core/run/pieces'
import type { StayedWay } from '@/core/run/stayed'
import type { Surface } from '@/core/surface/shapes'
import { pour, type Booked, type Follow, type PouredOnto } from '../ledger'
import { derivedId } from '../base/derivedId'
import { lockPlan, markPoured, markUnpoured } from '../plans/write'
import { remindOfLooks } from './finish'
import { takeSurfaces } from '../surfaces/write'
import type { Tx } from '../base/withStudio'
import type { PourInput } from './pourSchema'

/** One object that is poured on, as it will hang on the wall. */
export interface NewPiece extends PouredOnto {
  readonly id: string
  readonly surface: Surface
  /** The kind of surface on the shelf it comes from, and its price. */
  readonly stockId: string | null
  readonly eachMinor: number
  readonly stayedHow: StayedWay | null
  readonly driesAt: string
}

export interface PouredPieces {
  readonly requestId: string
  readonly planId: string | null
  readonly runId: string | null
  readonly title: string
  readonly technique: string
  readonly pieces: readonly NewPiece[]
  readonly findRest: boolean
  readonly at?: Date | undefined
}

/**
 * Books a pour of one or several pieces: their paint out of the bottles in one movement, and each of them on the wall,
 * joined as a set where there are several. Surfaces come off the shelf, a plan is poured.
 * @throws NotEnough naming the bottle; Conflict when the plan has been poured already; NotFound
 */
export async function pourPieces(tx: Tx, p: PouredPieces): Promise<Booked> {
  // One plan is poured once: whoever comes second waits here, and is told.
  const plan = p.planId === null ? undefined : await lockPlan(tx, p.planId)
  const booked = await pour(tx, { requestId: p.requestId, onto: p.pieces, findRest: p.findRest, at: p.at })
  if (booked.replayed) return booked
  if (plan?.pouredAt) throw new Conflict('This plan has been poured already. Look at the wall, or make a new plan.')
  const setId = p.pieces.length > 1 ? p.pieces[0]!.id : null
  for (const piece of p.pieces)
    await tx.q(
      `insert into piece (studio_id, id, plan_id, run_id, vessel_id, poured_into, movement_id, title, technique, surface,
         surface_cost_minor, poured_at, set_id, stayed_how, dries_at)
       values ($1, $2, $3, $4, $5, $5, $6, $7, $8, $9, $10, coalesce($11, now()), $12, $13, $14)`,
      [
        tx.studioId,
        piece.id,
        p.planId,
        p.runId,
        piece.vesselId,
        booked.movementId,
        piece.title,
        p.technique,
        JSON.stringify(piece.surface),
        piece.eachMinor,
        p.at ?? null,
        setId,
        piece.stayedHow,
        piece.driesAt,
      ],
    )
  if (plan) await markPoured(tx, plan.id, p.at)
  for (const [stockId, count] of fromShelf(p.pieces)) await takeSurfaces(tx, stockId, count, p.requestId, p.title)
  return booked
}

/** How many of each kind come off the shelf. */
function fromShelf(pieces: readonly NewPiece[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const { stockId } of pieces) if (stockId) counts.set(stockId, (counts.get(stockId) ?? 0) + 1)
  return counts
}

/**
 * Books a plan at once, without a guide: what each bottle gave is shared over its pieces by their faces.
 * @param at when it was poured; now where not given
 * @returns the first of its pieces
 * @throws NotEnough naming the bottle; Conflict when the plan has been poured already; NotFound
 */
export async function pourPlan(tx: Tx, input: PourInput, at?: Date): Promise<{ pieceId: string }> {
  const plan = await lockPlan(tx, input.planId)
  const objects = piecesOf(plan.design.surfaces, plan.title)
  const shared = input.takes.map((t) => byFace(t.ul, objects))
  const booked = await pourPieces(tx, {
    requestId: input.requestId,
    planId: plan.id,
    runId: null,
    title: plan.title,
    technique: plan.technique,
    findRest: input.findRest ?? false,
    at,
    pieces: objects.map((o, i) => ({
      ...o,
      id: i === 0 ? input.pieceId : derivedId(input.pieceId, `piece ${i}`),
      vesselId: i === 0 ? input.vesselId : derivedId(input.vesselId, `piece ${i}`),
      stayedHow: null,
      driesAt: '',
      takes: input.takes.map((t, k) => ({ vesselId: t.vesselId, ul: shared[k]![i]! })),
    })),
  })
  if (!booked.replayed) {
    for (let i = 0; i < objects.length; i++)
      await remindOfLooks(tx, i === 0 ? input.pieceId : derivedId(input.pieceId, `piece ${i}`))
    return { pieceId: input.pieceId }
  }
  const [piece] = await tx.q<{ id: string }>(
    'select id from piece where studio_id = $1 and movement_id = $2 order by id = coalesce(set_id, id) desc limit 1',
    [tx.studioId, booked.movementId],
  )
  return { pieceId: piece?.id ?? input.pieceId }
}

/** A pour that is undone leaves no piece on the wall, and its plan is to be poured again. */
export const pourUndone: Follow = async (tx, { movementId }) => {
  const undone = await tx.q<{ planId: string | null }>(
    `update piece set fate = 'undone' where studio_id = $1 and movement_id = $2 returning plan_id as "planId"`,
    [tx.studioId, movementId],
  )
  await markUnpoured(
    tx,
    undone.flatMap((p) => p.planId ?? []),
  )
}

/** A set that was told apart hangs as its first piece again. */
export const setRejoined: Follow = async (tx, { back }) => {
  await tx.q(`update piece set fate = 'undone' where studio_id = $1 and vessel_id = any ($2)`, [
    tx.studioId,
    [...new Set(back.map((l) => l.from))],
  ])
  await tx.q('update piece set poured_share = 1, set_id = null where studio_id = $1 and vessel_id = any ($2)', [
    tx.studioId,
    [...new Set(back.map((l) => l.to))],
  ])
}
