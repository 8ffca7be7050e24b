import { v7 as uuidv7 } from 'uuid'
import { NotFound } from '@/core/errors'
import type { RoleFlag } from '@/core/paint/flags'
import type { Thinner } from '@/core/mix/thinners'
import type { OpticsKnown } from '@/core/colour/predict'
import type { Body, MaterialKind, MediumKind, Opacity, Sheen, Strength } from '@/core/paint/properties'
import type { Tx } from '@/db/base/withStudio'

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
  readonly opacity: Opacity | null
  readonly contrastRatio: number | null
  /** K and S as packed, see `opticsOf`; null where none were worked out yet. */
  readonly optics: string | null
  readonly sigma: number | null
  readonly known: OpticsKnown | null
  readonly pigments: readonly string[]
  readonly densityGPerMl: number
  readonly solids: number
  readonly pigmentShare: number
  /** Grade of a paint; '' where nobody has said, or of what is none. */
  readonly grade: string
  /** What is wrong with a container of it that is in use; '' where nothing is. */
  readonly badLot: string
  readonly waterShare: number
  readonly priceMinor: number | null
  readonly containerUl: number | null
  /** What counted containers hold, µl; null where none were ever booked. */
  readonly onHandUl: number | null
  readonly flags: readonly RoleFlag[]
  readonly thinner: Thinner | null
  readonly mediumKind: MediumKind | null
  /** A base that stands ready in a bottle and is used like a medium; its id is the bottle's. */
  readonly inBottle?: boolean
}

/** Everything one can mix with, by kind and name. */
export function listMixable(tx: Tx): Promise<Material[]> {
  return tx.q<Material>(
    `with held as (
       select l.material_id, sum(c.ul)::bigint as ul, string_agg(nullif(l.flag, ''), '; ') filter (where c.ul > 0) as flag
       from lot l
       join vessel_content c on c.studio_id = l.studio_id and c.vessel_id = l.container_id and c.lot_id = l.id
       where l.studio_id = $1 and l.tracked and l.finished_at is null group by l.material_id
     ), avoided as (
       select material_id, json_agg(json_build_object('role', role, 'rule', rule, 'reason', reason) order by role) as list
       from paint_flag where studio_id = $1 group by material_id
     )
     select m.id, m.kind, m.name, m.maker, p.body, p.sheen, p.swatch_hex as hex, p.strength, p.opacity, p.contrast_ratio as "contrastRatio",
       p.optics, p.optics_sigma as sigma, p.optics_known as known,
       coalesce(p.pigments, '{}') as pigments, m.density_g_per_ml as "densityGPerMl", m.solids, m.pigment_share as "pigmentShare", coalesce(p.grade, '') as grade, coalesce(held.flag, '') as "badLot",
       m.water_share as "waterShare", m.price_minor as "priceMinor", m.container_ul as "containerUl",
       held.ul as "onHandUl", coalesce(avoided.list, '[]') as flags, m.thinner, d.kind as "mediumKind"
     from material m
     left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     left join medium d on d.studio_id = m.studio_id and d.material_id = m.id
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

/** Bases that stand ready in bottles, as one mixes with them: what they hold decides density, binder, water and cost. */
export function listBases(tx: Tx): Promise<Material[]> {
  return tx.q<Material>(
    `select b.vessel_id as id, 'medium' as kind, v.label as name, 'base on the rack' as maker, null as body, b.sheen, null as hex,
       null as strength, null as opacity, null as "contrastRatio", null as optics, null as sigma, null as known, '{}'::text[] as pigments,
       t.density as "densityGPerMl", t.solids, t.pigment as "pigmentShare", '' as grade, '' as "badLot", t.water as "waterShare", t.minor as "priceMinor", t.ul as "containerUl", t.ul as "onHandUl",
       '[]'::jsonb as flags, null as thinner, null as "mediumKind", true as "inBottle"
     from bottle b
     join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     join lateral (
       select sum(c.ul)::bigint as ul, sum(c.ul * m.density_g_per_ml) / sum(c.ul) as density, sum(c.ul * m.solids) / sum(c.ul) as solids,
         coalesce(sum(c.ul * m.solids * m.pigment_share) / nullif(sum(c.ul * m.solids), 0), 0) as pigment,
         sum(c.ul * case when m.kind = 'water' then 1 else m.water_share end) / sum(c.ul) as water,
         round(sum(c.ul * l.price_minor::numeric / l.size_ul))::bigint as minor
       from vessel_content c
       join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
       join material m on m.studio_id = l.studio_id and m.id = l.material_id
       where c.studio_id = b.studio_id and c.vessel_id = b.vessel_id and c.ul > 0
     ) t on t.ul > 0
     where b.studio_id = $1 and b.emptied_at is null and b.role = 'mixing base' order by v.label`,
    [tx.studioId],
  )
}

/** Which of some ids are bottles, with their names. */
export async function bottleNames(tx: Tx, ids: readonly string[]): Promise<Map<string, string>> {
  const rows = await tx.q<{ id: string; label: string }>(
    `select v.id, v.label from vessel v join bottle b on b.studio_id = v.studio_id and b.vessel_id = v.id
     where v.studio_id = $1 and v.id = any ($2)`,
    [tx.studioId, ids],
  )
  return new Map(rows.map((r) => [r.id, r.label]))
}

/** Keeps the density of a material as it was measured and weighed, with its history. @throws NotFound */
export async function rememberDensity(tx: Tx, materialId: string, densityGPerMl: number): Promise<void> {
  const [row] = await tx.q<{ revision: number }>(
    `update material set density_g_per_ml = $3, revision = revision + 1, updated_at = now()
     where studio_id = $1 and id = $2 returning revision`,
    [tx.studioId, materialId, densityGPerMl],
  )
  if (!row) throw new NotFound('paint or medium')
  await tx.q(
    `insert into material_change (studio_id, id, material_id, revision, by, before, after)
     select studio_id, $3, material_id, $4, $5, after, after || jsonb_build_object('densityGPerMl', $6::numeric)
     from material_change where studio_id = $1 and material_id = $2 order by revision desc limit 1`,
    [tx.studioId, materialId, uuidv7(), row.revision, tx.accountId, densityGPerMl],
  )
}

/** A kind of water one can thin with. */
export interface Water {
  readonly id: string
  readonly name: string
  readonly thinner: Thinner | null
}

/** The kinds of water one can thin with, by name. */
export function listWaters(tx: Tx): Promise<Water[]> {
  return tx.q(
    `select id, name, thinner from material where studio_id = $1 and kind = 'water' and archived_at is null order by name`,
    [tx.studioId],
  )
}
