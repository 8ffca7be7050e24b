import { NotFound } from '@/core/errors'
import type { PlanPart } from '@/core/plan/amounts'
import type { Tx } from '@/db/base/withStudio'
import type { PlanInput } from './schema'

export interface Plan extends Omit<PlanInput, 'revision'> {
  /** What all cups pour, µl. */
  readonly cupUl: number
  readonly revision: number
  readonly createdAt: string
  readonly pouredAt: string | null
}

/** What a plan takes of one source, with how that is called and looks. */
export interface PlanPartRow extends PlanPart {
  readonly label: string
  readonly hex: string | null
  readonly sheen: string
}

export interface PlanWithParts extends Plan {
  readonly parts: readonly PlanPartRow[]
}

const COLUMNS = `plan.id, plan.title, plan.technique, plan.work_id as "workId", plan.kind, plan.pour_on::text as "pourOn",
  plan.after_plan_id as "afterPlanId", plan.after_piece_id as "afterPieceId", plan.carried_note as "carriedNote",
  plan.design, plan.cup_ul as "cupUl", plan.notes, plan.revision, plan.created_at as "createdAt", plan.poured_at as "pouredAt"`

const PARTS = `coalesce((select json_agg(json_build_object('use', pp.use, 'ul', pp.ul,
    'of', json_build_object('kind', case when pp.vessel_id is not null then 'bottle' when pp.formula_id is not null then 'formula' else 'recipe' end,
      'id', coalesce(pp.vessel_id, pp.formula_id, pp.recipe_id)),
    'label', coalesce(v.label, f.name, r.name), 'hex', b.colour_hex, 'sheen', coalesce(b.sheen, 'satin')) order by pp.line_no)
  from plan_part pp
  left join vessel v on v.studio_id = pp.studio_id and v.id = pp.vessel_id
  left join bottle b on b.studio_id = pp.studio_id and b.vessel_id = pp.vessel_id
  left join formula f on f.studio_id = pp.studio_id and f.id = pp.formula_id
  left join recipe r on r.studio_id = pp.studio_id and r.id = pp.recipe_id
  where pp.studio_id = plan.studio_id and pp.plan_id = plan.id), '[]') as parts`

/** Plans shown at once. */
const LISTED = 500

/** Plans not yet put away: those still to pour first, newest first. */
export function listPlans(tx: Tx): Promise<PlanWithParts[]> {
  return tx.q<PlanWithParts>(
    `select ${COLUMNS}, ${PARTS} from plan where studio_id = $1 and archived_at is null
     order by poured_at is not null, poured_at desc, created_at desc limit ${LISTED}`,
    [tx.studioId],
  )
}

/** Plans of a work, sketches first, oldest first. */
export function plansOfWork(tx: Tx, workId: string): Promise<PlanWithParts[]> {
  return tx.q<PlanWithParts>(
    `select ${COLUMNS}, ${PARTS} from plan where studio_id = $1 and work_id = $2 and archived_at is null
     order by array_position(array['sketch', 'test', 'final'], kind), created_at`,
    [tx.studioId, workId],
  )
}

/** One plan. @throws NotFound */
export async function findPlan(tx: Tx, id: string): Promise<PlanWithParts> {
  const [row] = await tx.q<PlanWithParts>(`select ${COLUMNS}, ${PARTS} from plan where studio_id = $1 and id = $2`, [
    tx.studioId,
    id,
  ])
  if (!row) throw new NotFound('plan')
  return row
}

/** What an open plan takes of a bottle, and the day it is poured where that is fixed. */
export interface OpenTake {
  readonly planId: string
  readonly vesselId: string
  readonly ul: number
  readonly pourOn: string | null
}

/** What every open plan takes of every bottle. */
export function openTakes(tx: Tx): Promise<OpenTake[]> {
  return tx.q<OpenTake>(
    `select plan.id as "planId", pp.vessel_id as "vesselId", sum(pp.ul)::bigint as ul, plan.pour_on::text as "pourOn"
     from plan join plan_part pp on pp.studio_id = plan.studio_id and pp.plan_id = plan.id
     where plan.studio_id = $1 and plan.poured_at is null and plan.archived_at is null and pp.vessel_id is not null
     group by plan.id, pp.vessel_id, plan.pour_on`,
    [tx.studioId],
  )
}

/** Pairs of bottles' paints that were poured in one cup before, as `a b` with a before b. */
export async function triedTogether(tx: Tx): Promise<string[]> {
  const rows = await tx.q<{ pair: string }>(
    `select distinct least(a.vessel_id, b.vessel_id) || ' ' || greatest(a.vessel_id, b.vessel_id) as pair
     from plan
     join plan_part a on a.studio_id = plan.studio_id and a.plan_id = plan.id and a.use = 'cup'
     join plan_part b on b.studio_id = plan.studio_id and b.plan_id = plan.id and b.use = 'cup' and b.vessel_id > a.vessel_id
     where plan.studio_id = $1 and plan.poured_at is not null`,
    [tx.studioId],
  )
  return rows.map((r) => r.pair)
}
