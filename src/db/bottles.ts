import { NotFound } from '@/core/errors'
import type { MaterialKind } from '@/core/paint/properties'
import type { RecipeSnapshot } from './ledger'
import type { Tx } from './withStudio'

/** A bottle as it stands on the rack. */
export interface Bottle {
  readonly id: string
  readonly label: string
  readonly role: string
  readonly mixedAt: string
  readonly restUntil: string
  readonly hex: string | null
  readonly sheen: string
  readonly capacityUl: number | null
  readonly ul: number
}

export interface BottleFull extends Bottle {
  readonly recipe: RecipeSnapshot
  readonly tareMg: number | null
  readonly notes: string
}

export interface RackFilter {
  readonly q?: string
  readonly role?: string
  /** '' = all that hold something, 'empty' = emptied ones only. */
  readonly show?: string
  readonly sort?: string
  readonly page?: number
}
export const RACK_PAGE = 50

/** Orders of the rack; the text is ours alone, never what came in. */
const ORDER: Readonly<Record<string, string>> = {
  newest: 'b.mixed_at desc, b.vessel_id desc',
  oldest: 'b.mixed_at, b.vessel_id',
  name: 'lower(v.label), b.vessel_id',
  fullest: 'ul desc, b.vessel_id',
  emptiest: 'ul, b.vessel_id',
}

const LOOK = `v.id, v.label, v.capacity_ul as "capacityUl", b.role, b.mixed_at as "mixedAt", b.rest_until as "restUntil",
  b.colour_hex as hex, b.sheen`
const UL = `(select coalesce(sum(c.ul), 0)::bigint from vessel_content c
  where c.studio_id = b.studio_id and c.vessel_id = b.vessel_id) as ul`

/** One page of the rack, and how many there are in all. */
export async function listBottles(tx: Tx, f: RackFilter): Promise<{ bottles: Bottle[]; total: number }> {
  const where = `b.studio_id = $1 and (b.emptied_at is not null) = $2 and ($3 = '' or b.role = $3)
    and ($4 = '' or lower(v.label) like $4)`
  const q = (f.q ?? '').trim().toLowerCase()
  const values = [tx.studioId, f.show === 'empty', f.role ?? '', q ? `%${q.replace(/[\\%_]/g, '\\$&')}%` : '']
  const from = 'from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id'
  const bottles = await tx.q<Bottle>(
    `select ${LOOK}, ${UL} ${from} where ${where} order by ${ORDER[f.sort ?? ''] ?? ORDER.newest}
     limit ${RACK_PAGE} offset $5`,
    [...values, RACK_PAGE * ((f.page ?? 1) - 1)],
  )
  const [count] = await tx.q<{ n: number }>(`select count(*)::int as n ${from} where ${where}`, values)
  return { bottles, total: count!.n }
}

/** Bottles that hold something, for choosing among them; newest first. */
export function bottlesInUse(tx: Tx): Promise<BottleFull[]> {
  return tx.q<BottleFull>(
    `select ${LOOK}, b.recipe, b.tare_mg as "tareMg", b.notes, ${UL}
     from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.emptied_at is null order by b.mixed_at desc limit 500`,
    [tx.studioId],
  )
}

/** One bottle. @throws NotFound */
export async function findBottle(tx: Tx, id: string): Promise<BottleFull> {
  const [row] = await tx.q<BottleFull>(
    `select ${LOOK}, b.recipe, b.tare_mg as "tareMg", b.notes, ${UL}
     from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.vessel_id = $2`,
    [tx.studioId, id],
  )
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
  readonly tracked: boolean
  readonly openedAt: string
  readonly priceMinor: number | null
  readonly sizeUl: number | null
  readonly densityGPerMl: number
}

/** Contents of vessels down to each lot, largest first. */
export function portionsOf(tx: Tx, vesselIds: readonly string[]): Promise<LotPortion[]> {
  return tx.q<LotPortion>(
    `select c.vessel_id as "vesselId", c.lot_id as "lotId", c.ul, m.id as "materialId", m.name as material, m.maker, m.kind,
       p.swatch_hex as hex, l.label as "lotLabel", l.tracked, l.opened_at as "openedAt", l.price_minor as "priceMinor",
       l.size_ul as "sizeUl", m.density_g_per_ml as "densityGPerMl"
     from vessel_content c
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join material m on m.studio_id = l.studio_id and m.id = l.material_id
     left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     where c.studio_id = $1 and c.vessel_id = any ($2) and c.ul > 0
     order by c.ul desc, c.lot_id`,
    [tx.studioId, vesselIds],
  )
}
