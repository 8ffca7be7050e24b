import { Conflict } from '@/core/errors'
import type { PlannedSurface } from '@/core/plan/design'
import { areas } from '@/core/surface/area'
import { pour, type Follow } from '../ledger'
import { lockPlan, markPoured, markUnpoured } from '../plans/write'
import { takeSurfaces } from '../surfaces/write'
import type { Tx } from '../base/withStudio'
import type { PourInput } from './pourSchema'

/**
 * Pours a plan: paint from the bottles onto the surface, all or nothing, and the piece that will hang on the wall.
 * @param at when it was poured; now where not given
 * @throws NotEnough naming the bottle; Conflict when the plan has been poured already; NotFound
 */
export async function pourPlan(tx: Tx, input: PourInput, at?: Date): Promise<{ pieceId: string }> {
  // One plan is poured once: whoever comes second waits here, and is told.
  const plan = await lockPlan(tx, input.planId)
  const booked = await pour(tx, {
    requestId: input.requestId,
    vesselId: input.vesselId,
    title: plan.title,
    takes: input.takes,
    findRest: input.findRest ?? false,
    at,
  })
  if (booked.replayed) {
    const [piece] = await tx.q<{ id: string }>('select id from piece where studio_id = $1 and movement_id = $2', [
      tx.studioId,
      booked.movementId,
    ])
    return { pieceId: piece?.id ?? input.pieceId }
  }
  if (plan.pouredAt) throw new Conflict('This plan has been poured already. Look at the wall, or make a new plan.')
  await tx.q(
    `insert into piece (studio_id, id, plan_id, vessel_id, movement_id, title, technique, surface, surface_cost_minor, poured_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, coalesce($10, now()))`,
    [
      tx.studioId,
      input.pieceId,
      plan.id,
      input.vesselId,
      booked.movementId,
      plan.title,
      plan.technique,
      JSON.stringify(mainSurface(plan.design.surfaces)),
      plan.design.surfaces.reduce((sum, s) => sum + s.eachMinor * s.surface.count, 0),
      at ?? null,
    ],
  )
  await markPoured(tx, plan.id, at)
  for (const [stockId, count] of fromShelf(plan.design.surfaces))
    await takeSurfaces(tx, stockId, count, input.requestId, plan.title)
  return { pieceId: input.pieceId }
}

/** The surface a piece hangs by: the largest face of the plan. */
const mainSurface = (surfaces: readonly PlannedSurface[]) =>
  surfaces.reduce((a, b) => (areas(b.surface).faceMm2 > areas(a.surface).faceMm2 ? b : a)).surface

/** How many of each kind come off the shelf. */
function fromShelf(surfaces: readonly PlannedSurface[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const { stockId, surface } of surfaces)
    if (stockId) counts.set(stockId, (counts.get(stockId) ?? 0) + surface.count)
  return counts
}

/** A pour that is undone leaves no piece on the wall, and its plan is to be poured again. */
export const pourUndone: Follow = async (tx, { movementId }) => {
  const undone = await tx.q<{ planId: string }>(
    `update piece set fate = 'undone' where studio_id = $1 and movement_id = $2 returning plan_id as "planId"`,
    [tx.studioId, movementId],
  )
  await markUnpoured(
    tx,
    undone.map((p) => p.planId),
  )
}
