import { Conflict, Invalid, NotFound } from '@/core/errors'
import { planAmounts, type PlanPart } from '@/core/plan/amounts'
import type { Of } from '@/core/plan/design'
import { refuseAdditive } from '../mixes'
import type { Tx } from '../base/withStudio'
import { cupSizes } from '../room/read'
import { techniqueBook } from '../techniques/read'
import { findPlan, type PlanWithParts } from './read'
import type { PlanInput } from './schema'

/**
 * Writes a plan whole, new or changed; what it takes of each bottle is worked out anew. A plan may be left rough: a
 * surface is enough.
 * @throws Invalid for an impossible surface, a technique that is none, something that points at nothing, or an additive
 *   under the pour; Conflict when it has been poured, or somebody else changed it since it was opened
 */
export async function savePlan(tx: Tx, plan: PlanInput): Promise<{ revision: number }> {
  ;(await techniqueBook(tx)).of(plan.technique)
  mustPointAtSomething(plan)
  const amounts = planAmounts(
    plan.design,
    (await cupSizes(tx)).map((c) => c.sizeUl),
  )
  await refuseAdditives(tx, amounts.parts)
  const revision = await writePlan(tx, plan, amounts.pourUl)
  await tx.q('delete from plan_part where studio_id = $1 and plan_id = $2', [tx.studioId, plan.id])
  const idsOf = (kind: Of['kind']) => amounts.parts.map((p) => (p.of.kind === kind ? p.of.id : null))
  await tx.q(
    `insert into plan_part (studio_id, plan_id, line_no, use, vessel_id, formula_id, recipe_id, ul)
     select $1, $2, line_no, use, vessel_id, formula_id, recipe_id, ul
     from unnest($3::text[], $4::uuid[], $5::uuid[], $6::uuid[], $7::bigint[]) with ordinality
       as p (use, vessel_id, formula_id, recipe_id, ul, line_no)`,
    [
      tx.studioId,
      plan.id,
      amounts.parts.map((p) => p.use),
      idsOf('bottle'),
      idsOf('formula'),
      idsOf('recipe'),
      amounts.parts.map((p) => p.ul),
    ],
  )
  return { revision }
}

async function writePlan(tx: Tx, plan: PlanInput, cupUl: number): Promise<number> {
  const [written] = await tx.q<{ revision: number }>(
    `insert into plan (studio_id, id, title, technique, work_id, kind, pour_on, after_plan_id, after_piece_id, carried_note,
       design, cup_ul, notes)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
     on conflict (studio_id, id) do update set title = excluded.title, technique = excluded.technique,
       work_id = excluded.work_id, kind = excluded.kind, pour_on = excluded.pour_on, carried_note = excluded.carried_note,
       design = excluded.design, cup_ul = excluded.cup_ul, notes = excluded.notes,
       revision = plan.revision + 1, updated_at = now()
     where plan.poured_at is null and plan.archived_at is null and plan.revision = $14 returning revision`,
    [
      tx.studioId,
      plan.id,
      plan.title,
      plan.technique,
      plan.workId,
      plan.kind,
      plan.pourOn,
      plan.afterPlanId,
      plan.afterPieceId,
      plan.carriedNote,
      JSON.stringify(plan.design),
      cupUl,
      plan.notes,
      plan.revision,
    ],
  )
  if (written) return written.revision
  const [here] = await tx.q<{ poured: boolean; archived: boolean; revision: number; same: boolean }>(
    `select poured_at is not null as poured, archived_at is not null as archived, revision,
       (design, title, technique, work_id, kind, pour_on, carried_note, notes)
         is not distinct from ($3::jsonb, $4::text, $5::text, $6::uuid, $7::text, $8::date, $9::text, $10::text) as same
     from plan where studio_id = $1 and id = $2`,
    [
      tx.studioId,
      plan.id,
      JSON.stringify(plan.design),
      plan.title,
      plan.technique,
      plan.workId,
      plan.kind,
      plan.pourOn,
      plan.carriedNote,
      plan.notes,
    ],
  )
  if (here!.poured) throw new Conflict('This plan has been poured already. Make a new plan instead.')
  if (here!.archived) throw new Conflict('This plan has been put away. Make a new plan instead.')
  // The same sent twice, because the answer was lost on its way.
  if (here!.same) return here!.revision
  throw new Conflict(
    'Somebody else changed this plan since you opened it. Open it in another tab, and bring over what you changed here.',
  )
}

/** @throws Invalid where a cup, coat or surface points at a surface that is not in the plan */
function mustPointAtSomething({ design }: PlanInput): void {
  const surfaces = new Set(design.surfaces.map((s) => s.id))
  const all = [...design.surfaces, ...design.cups, ...design.coats, ...design.cups.flatMap((c) => c.layers)]
  if (new Set(all.map((x) => x.id)).size !== all.length)
    throw new Invalid('Two parts of this plan have one id. Reload the page and do it anew.')
  const pointed = [
    ...design.surfaces.map((s) => s.feeds),
    ...design.cups.map((c) => c.on),
    ...design.coats.map((c) => c.on),
  ]
  if (pointed.some((id) => id !== null && !surfaces.has(id)))
    throw new Invalid('A cup, a coat or a surface points at a surface that is not in this plan. Choose one for it.')
}

/** @throws Invalid where something that holds an additive is to lie under the pour */
async function refuseAdditives(tx: Tx, parts: readonly PlanPart[]): Promise<void> {
  const rows = await tx.q<{ id: string; label: string }>(
    `select v.id, v.label from vessel v join bottle b on b.studio_id = v.studio_id and b.vessel_id = v.id
     where b.studio_id = $1 and b.vessel_id = any ($2) and b.has_additive`,
    [tx.studioId, parts.flatMap((p) => (p.of.kind === 'bottle' ? [p.of.id] : []))],
  )
  for (const { id, label } of rows) for (const part of parts) if (part.of.id === id) refuseAdditive(label, part.use)
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
