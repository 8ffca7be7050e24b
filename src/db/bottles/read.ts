import { NotFound } from '@/core/errors'
import type { MaterialKind } from '@/core/paint/properties'
import { notUndone } from '../ledger'
import { type RecipeSnapshot } from '../mixes'
import type { Tx } from '../base/withStudio'

/** A bottle as it stands on the rack. */
export interface Bottle {
  readonly id: string
  /** Short code as it stands on the label, without its check letter. */
  readonly code: string
  readonly palette: string
  readonly technique: string | null
  readonly label: string
  readonly role: string
  readonly mixedAt: string
  readonly restUntil: string
  readonly hex: string | null
  /** Expected ΔE00 between that computed colour and the real one. */
  readonly off: number | null
  readonly sheen: string
  readonly capacityUl: number | null
  readonly ul: number
}

export interface BottleFull extends Bottle {
  readonly recipe: RecipeSnapshot
  readonly tareMg: number | null
  readonly notes: string
  /** A jar of run-off, and not a bottle that was mixed. */
  readonly isJar: boolean
  readonly keepUntil: string | null
  readonly movedAt: string | null
  /** Water it has lost by weigh-ins and would want back. */
  readonly evaporatedUl: number
  readonly levelTimeS: number | null
  readonly readAt: string | null
  /** Water on its curve now, and when it was read. */
  readonly w: number
  readonly readW: number | null
  readonly curveB: number | null
  /** What ln of its level time rises by a day, see `Ageing`. */
  readonly thickens: number | null
  readonly isReference: boolean
  /** Silicone or another additive is in it. */
  readonly hasAdditive: boolean
}

/** Every fact of a bottle and what it is read from: `v` its vessel, `b` the bottle, `held` the sum of what it holds. */
export const FACTS: Readonly<Record<keyof BottleFull, string>> = {
  id: 'v.id',
  code: 'b.code',
  label: 'v.label',
  role: 'b.role',
  palette: 'b.palette',
  technique: 'b.technique',
  hex: 'b.colour_hex',
  off: 'b.colour_off',
  sheen: 'b.sheen',
  isJar: `v.kind = 'jar'`,
  ul: 'coalesce(held.ul, 0)',
  capacityUl: 'v.capacity_ul',
  tareMg: 'b.tare_mg',
  recipe: 'b.recipe',
  notes: 'b.notes',
  mixedAt: 'b.mixed_at',
  restUntil: 'b.rest_until',
  keepUntil: 'b.keep_until',
  movedAt: 'b.moved_at',
  evaporatedUl: 'round(b.evaporated_share * coalesce(held.ul, 0))::bigint',
  levelTimeS: 'b.level_time_s',
  readAt: 'b.read_at',
  w: 'b.w',
  readW: 'b.read_w',
  curveB: 'b.curve_b',
  thickens: 'b.thickens',
  isReference: 'b.is_reference',
  hasAdditive: 'b.has_additive',
}

/** The facts that are times. */
export const TIMES: ReadonlySet<keyof BottleFull> = new Set(['mixedAt', 'restUntil', 'keepUntil', 'movedAt', 'readAt'])

const SELECT = Object.entries(FACTS)
  .map(([name, from]) => `${from} as "${name}"`)
  .join(', ')
const BOTTLES = `select ${SELECT}
  from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
  cross join lateral (select sum(c.ul)::bigint as ul from vessel_content c
    where c.studio_id = b.studio_id and c.vessel_id = b.vessel_id) as held`

/** Bottles that hold something, for choosing among them; newest first. */
export function bottlesInUse(tx: Tx): Promise<BottleFull[]> {
  return tx.q<BottleFull>(
    `${BOTTLES} where b.studio_id = $1 and b.emptied_at is null order by b.mixed_at desc limit 500`,
    [tx.studioId],
  )
}

/** One bottle. @throws NotFound */
export async function findBottle(tx: Tx, id: string): Promise<BottleFull> {
  const [row] = await tx.q<BottleFull>(`${BOTTLES} where b.studio_id = $1 and b.vessel_id = $2`, [tx.studioId, id])
  if (!row) throw new NotFound('bottle')
  return row
}

/** What a vessel holds of one lot, with what is needed for cost, mass and trace. */
export interface LotPortion {
  readonly vesselId: string
  readonly lotId: string
  readonly ul: number
  readonly materialId: string
  readonly material: string
  readonly maker: string
  readonly kind: MaterialKind
  readonly hex: string | null
  readonly lotLabel: string
  /** What is wrong with it; '' where it is sound. */
  readonly lotFlag: string
  readonly tracked: boolean
  readonly openedAt: string
  readonly priceMinor: number | null
  readonly sizeUl: number | null
  readonly densityGPerMl: number
  readonly solids: number
  readonly pigmentShare: number
  /** Grade of a paint; null of what is none. */
  readonly grade: string | null
  readonly waterShare: number
}

/** Portions `c` of a vessel and a lot, with what is known of them. */
const portions = (c: string) => `select c.vessel_id as "vesselId", c.lot_id as "lotId", c.ul, m.id as "materialId",
    m.name as material, m.maker, m.kind, p.swatch_hex as hex, l.label as "lotLabel", l.flag as "lotFlag", l.tracked, l.opened_at as "openedAt",
    l.price_minor as "priceMinor", l.size_ul as "sizeUl", m.density_g_per_ml as "densityGPerMl", m.solids,
    m.pigment_share as "pigmentShare", p.grade, case when m.kind = 'water' then 1 else m.water_share end as "waterShare"
  from (${c}) c
  join lot l on l.studio_id = $1 and l.id = c.lot_id
  join material m on m.studio_id = l.studio_id and m.id = l.material_id
  left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
  order by c.ul desc, c.lot_id`

/** Contents of vessels down to each lot, largest first. */
export function portionsOf(tx: Tx, vesselIds: readonly string[]): Promise<LotPortion[]> {
  return tx.q<LotPortion>(
    portions(
      'select vessel_id, lot_id, ul from vessel_content where studio_id = $1 and vessel_id = any ($2) and ul > 0',
    ),
    [tx.studioId, vesselIds],
  )
}

/** What went from vessels to waste, down to each lot, largest first; what was undone is not in it. */
export function wastedFrom(tx: Tx, vesselIds: readonly string[]): Promise<LotPortion[]> {
  return tx.q<LotPortion>(
    portions(`select x.from_vessel_id as vessel_id, x.lot_id, sum(x.ul)::bigint as ul
      from movement_line x join vessel w on w.studio_id = x.studio_id and w.id = x.to_vessel_id and w.kind = 'waste'
      where x.studio_id = $1 and x.from_vessel_id = any ($2) and ${notUndone('x', 'movement_id')}
      group by 1, 2`),
    [tx.studioId, vesselIds],
  )
}

/** The bottle a short code belongs to; undefined where none has it. */
export async function bottleByCode(tx: Tx, body: string): Promise<string | undefined> {
  const [row] = await tx.q<{ id: string }>('select vessel_id as id from bottle where studio_id = $1 and code = $2', [
    tx.studioId,
    body,
  ])
  return row?.id
}

/** Some bottles by id, in no order; those of other studios are simply not in it. */
export function bottlesById(tx: Tx, ids: readonly string[]): Promise<BottleFull[]> {
  return tx.q<BottleFull>(`${BOTTLES} where b.studio_id = $1 and b.vessel_id = any ($2)`, [tx.studioId, ids])
}

/** Jars of run-off on the rack. */
export function listJars(tx: Tx): Promise<{ id: string; label: string }[]> {
  return tx.q(
    `select v.id, v.label from vessel v join bottle b on b.studio_id = v.studio_id and b.vessel_id = v.id
     where v.studio_id = $1 and v.kind = 'jar' and b.emptied_at is null order by v.created_at desc`,
    [tx.studioId],
  )
}

/** Names of the bottles that hold something, by name. */
export function bottleLabels(tx: Tx): Promise<{ id: string; label: string }[]> {
  return tx.q(
    `select v.id, v.label from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.emptied_at is null order by lower(v.label) limit 500`,
    [tx.studioId],
  )
}

/** What bottles weigh empty, mg, by id; null where nobody has weighed one. */
export async function bottleTares(tx: Tx, ids: readonly string[]): Promise<Map<string, number | null>> {
  const rows = await tx.q<{ id: string; mg: number | null }>(
    'select vessel_id as id, tare_mg as mg from bottle where studio_id = $1 and vessel_id = any ($2)',
    [tx.studioId, ids],
  )
  return new Map(rows.map((r) => [r.id, r.mg]))
}
