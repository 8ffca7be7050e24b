import type { RoleFlag } from '@/core/paint/flags'
import type { Thinner } from '@/core/mix/thinners'
import type { Body, MaterialKind, Sheen, Strength } from '@/core/paint/properties'
import type { Tx } from './withStudio'

/** A material as one mixes with it. */
export interface Material {
  readonly id: string
  readonly kind: MaterialKind
  readonly name: string
  readonly maker: string
  readonly body: Body | null
  readonly sheen: Sheen | null
  readonly hex: string | null
  readonly strength: Strength | null
  readonly pigments: readonly string[]
  readonly densityGPerMl: number
  readonly solids: number
  readonly waterShare: number
  readonly priceMinor: number | null
  readonly containerUl: number | null
  /** What counted containers hold, µl; null where none were ever booked. */
  readonly onHandUl: number | null
  readonly flags: readonly RoleFlag[]
  readonly thinner: Thinner | null
}

/** Everything one can mix with, by kind and name. */
export function listMixable(tx: Tx): Promise<Material[]> {
  return tx.q<Material>(
    `with held as (
       select l.material_id, sum(c.ul)::bigint as ul
       from lot l
       join vessel_content c on c.studio_id = l.studio_id and c.vessel_id = l.container_id and c.lot_id = l.id
       where l.studio_id = $1 and l.tracked and l.finished_at is null group by l.material_id
     ), avoided as (
       select material_id, json_agg(json_build_object('role', role, 'rule', rule, 'reason', reason) order by role) as list
       from paint_flag where studio_id = $1 group by material_id
     )
     select m.id, m.kind, m.name, m.maker, p.body, p.sheen, p.swatch_hex as hex, p.strength,
       coalesce(p.pigments, '{}') as pigments, m.density_g_per_ml as "densityGPerMl", m.solids,
       m.water_share as "waterShare", m.price_minor as "priceMinor", m.container_ul as "containerUl",
       held.ul as "onHandUl", coalesce(avoided.list, '[]') as flags, m.thinner
     from material m
     left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     left join held on held.material_id = m.id
     left join avoided on avoided.material_id = m.id
     where m.studio_id = $1 and m.archived_at is null
     order by m.kind, m.name_key, m.maker_key`,
    [tx.studioId],
  )
}

/** Names of materials by id, archived ones too; ids of other studios are simply not in it. */
export async function materialNames(tx: Tx, ids: readonly string[]): Promise<Map<string, string>> {
  const rows = await tx.q<{ id: string; name: string }>(
    'select id, name from material where studio_id = $1 and id = any ($2)',
    [tx.studioId, ids],
  )
  return new Map(rows.map((r) => [r.id, r.name]))
}
