import { NotFound } from '@/core/errors'
import type { PlanPart } from '@/core/plan/amounts'
import type { Surface } from '@/core/surface/area'
import type { CoverageSchool } from '@/core/surface/coverage'
import type { Tx } from '@/db/base/withStudio'

export interface Plan {
  readonly id: string
  readonly title: string
  readonly technique: string
  readonly surface: Surface
  readonly coverage: CoverageSchool
  readonly surfaceCostMinor: number
  /** The kind of surface on the shelf it is poured on; null where it is not from there. */
  readonly surfaceStockId: string | null
  readonly cupUl: number
  readonly notes: string
  readonly createdAt: string
  readonly pouredAt: string | null
}

export interface PlanWithParts extends Plan {
  readonly parts: readonly (PlanPart & { label: string; hex: string | null; sheen: string })[]
}

const COLUMNS = `id, title, technique, surface, coverage, surface_cost_minor as "surfaceCostMinor",
  surface_stock_id as "surfaceStockId", cup_ul as "cupUl", notes,
  created_at as "createdAt", poured_at as "pouredAt"`

const PARTS = `coalesce((select json_agg(json_build_object('use', pp.use, 'vesselId', pp.vessel_id, 'parts', pp.parts, 'ul', pp.ul,
    'label', v.label, 'hex', b.colour_hex, 'sheen', b.sheen) order by pp.line_no)
  from plan_part pp
  join vessel v on v.studio_id = pp.studio_id and v.id = pp.vessel_id
  join bottle b on b.studio_id = pp.studio_id and b.vessel_id = pp.vessel_id
  where pp.studio_id = plan.studio_id and pp.plan_id = plan.id), '[]') as parts`

/** Plans not yet put away: those still to pour first, newest first. */
export function listPlans(tx: Tx): Promise<PlanWithParts[]> {
  return tx.q<PlanWithParts>(
    `select ${COLUMNS}, ${PARTS} from plan where studio_id = $1 and archived_at is null
     order by poured_at is not null, poured_at desc, created_at desc limit 200`,
    [tx.studioId],
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
