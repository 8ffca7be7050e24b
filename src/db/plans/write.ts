import { Conflict, Invalid, NotFound } from '@/core/errors'
import { planParts, type PlanPart } from '@/core/plan/amounts'
import { cupUl } from '@/core/surface/coverage'
import { refuseAdditive } from '../ledger'
import type { Tx } from '../base/withStudio'
import { findPlan, type PlanWithParts } from './read'
import type { PlanInput } from './schema'
import { coverageOf, surfaceOf } from './shapes'

/**
 * Writes a plan with its parts, new or changed.
 * @throws Invalid for an impossible surface, an empty plan, or an additive under the pour; Conflict when it has been poured
 */
export async function savePlan(tx: Tx, plan: PlanInput): Promise<void> {
  const surface = surfaceOf(plan.surface)
  const coverage = coverageOf(plan.coverage)
  const cup = cupUl(surface, coverage)
  const parts = planParts(cup, plan.cup, plan.apart)
  if (parts.length === 0) throw new Invalid('The plan uses no bottle yet. Choose one, and give it a share.')
  await refuseAdditives(tx, parts)
  const written = await tx.q(
    `insert into plan (studio_id, id, title, technique, surface, coverage, surface_cost_minor, cup_ul, notes, surface_stock_id)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (studio_id, id) do update set title = excluded.title, technique = excluded.technique,
       surface = excluded.surface, coverage = excluded.coverage, surface_cost_minor = excluded.surface_cost_minor,
       cup_ul = excluded.cup_ul, notes = excluded.notes,
       surface_stock_id = excluded.surface_stock_id, updated_at = now()
     where plan.poured_at is null returning 1`,
    [
      tx.studioId,
      plan.id,
      plan.title,
      plan.technique,
      JSON.stringify(surface),
      JSON.stringify(coverage),
      plan.surfaceCostMinor,
      cup,
      plan.notes,
      plan.surfaceStockId ?? null,
    ],
  )
  if (written.length === 0) throw new Conflict('This plan has been poured already. Make a new plan instead.')
  await tx.q('delete from plan_part where studio_id = $1 and plan_id = $2', [tx.studioId, plan.id])
  await tx.q(
    `insert into plan_part (studio_id, plan_id, line_no, use, vessel_id, parts, ul)
     select $1, $2, line_no, use, vessel_id, parts, ul
     from unnest($3::text[], $4::uuid[], $5::numeric[], $6::bigint[]) with ordinality as p (use, vessel_id, parts, ul, line_no)`,
    [
      tx.studioId,
      plan.id,
      parts.map((p) => p.use),
      parts.map((p) => p.vesselId),
      parts.map((p) => p.parts),
      parts.map((p) => p.ul),
    ],
  )
}

/** @throws Invalid where something that holds an additive is to lie under the pour */
async function refuseAdditives(tx: Tx, parts: readonly PlanPart[]): Promise<void> {
  const rows = await tx.q<{ id: string; label: string }>(
    `select v.id, v.label from vessel v join bottle b on b.studio_id = v.studio_id and b.vessel_id = v.id
     where b.studio_id = $1 and b.vessel_id = any ($2) and b.has_additive`,
    [tx.studioId, parts.map((p) => p.vesselId)],
  )
  for (const { id, label } of rows) for (const part of parts) if (part.vesselId === id) refuseAdditive(label, part.use)
}

/** A plan, held for as long as the transaction lasts: one plan is poured once, and whoever comes second waits. @throws NotFound */
export async function lockPlan(tx: Tx, id: string): Promise<PlanWithParts> {
  await tx.q('select 1 from plan where studio_id = $1 and id = $2 for update', [tx.studioId, id])
  return findPlan(tx, id)
}

/** Puts a plan away that will not be poured. @throws Conflict when it has been; NotFound */
export async function dropPlan(tx: Tx, id: string): Promise<void> {
  const [plan] = await tx.q<{ poured_at: string | null }>(
    'select poured_at from plan where studio_id = $1 and id = $2 for update',
    [tx.studioId, id],
  )
  if (!plan) throw new NotFound('plan')
  if (plan.poured_at) throw new Conflict('This plan has been poured. Undo the pour first, if it did not happen.')
  await tx.q('update plan set archived_at = now() where studio_id = $1 and id = $2', [tx.studioId, id])
}

/** Notes when a plan was poured. */
export async function markPoured(tx: Tx, id: string, at: Date | undefined): Promise<void> {
  await tx.q('update plan set poured_at = coalesce($3, now()) where studio_id = $1 and id = $2', [
    tx.studioId,
    id,
    at ?? null,
  ])
}

/** Plans are to be poured again. */
export async function markUnpoured(tx: Tx, ids: readonly string[]): Promise<void> {
  await tx.q('update plan set poured_at = null where studio_id = $1 and id = any ($2)', [tx.studioId, ids])
}
