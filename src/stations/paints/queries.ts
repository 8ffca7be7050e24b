import { NotFound } from '@/core/errors'
import type { Body, MaterialKind, MediumKind, Opacity, Sheen, Strength } from '@/core/paint/properties'
import type { Tx } from '@/db/withStudio'
import type { PaintFilter } from './schema'

export interface MaterialRow {
  readonly id: string
  readonly kind: MaterialKind
  readonly maker: string
  readonly line: string
  readonly name: string
  readonly densityGPerMl: number
  readonly solids: number
  readonly waterShare: number
  readonly containerUl: number | null
  readonly priceMinor: number | null
  readonly notes: string
  readonly archived: boolean
  readonly revision: number
  readonly mediumKind: MediumKind | null
  readonly body: Body | null
  readonly opacity: Opacity | null
  readonly sheen: Sheen | null
  readonly strength: Strength | null
  readonly pigments: readonly string[]
  readonly swatchHex: string | null
  readonly avoid: readonly { role: string; reason: string }[]
  /** What the open containers hold, µl; null where none were ever booked. */
  readonly onHandUl: number | null
}

const COLUMNS = `
  m.id, m.kind, m.maker, m.line, m.name, m.density_g_per_ml as "densityGPerMl", m.solids, m.water_share as "waterShare",
  m.container_ul as "containerUl", m.price_minor as "priceMinor", m.notes, m.archived_at is not null as archived,
  m.revision, md.kind as "mediumKind", p.body, p.opacity, p.sheen, p.strength,
  coalesce(p.pigments, '{}') as pigments, p.swatch_hex as "swatchHex",
  coalesce((select json_agg(json_build_object('role', a.role, 'reason', a.reason) order by a.role)
            from paint_avoid a where a.studio_id = m.studio_id and a.material_id = m.id), '[]') as avoid,
  (select sum(c.ul)::bigint from lot l
   join vessel_content c on c.studio_id = l.studio_id and c.lot_id = l.id
   join vessel v on v.studio_id = c.studio_id and v.id = c.vessel_id and v.kind = 'container'
   where l.studio_id = m.studio_id and l.material_id = m.id and l.tracked) as "onHandUl"`
const FROM = `from material m
  left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
  left join medium md on md.studio_id = m.studio_id and md.material_id = m.id`

/** Words of a search, each to be found in maker, line, name or pigments. */
const words = (q: string) => q.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8)
const like = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`

/** The drawer, filtered; sorted by maker, line and name. */
export function listMaterials(tx: Tx, f: PaintFilter): Promise<MaterialRow[]> {
  return tx.q<MaterialRow>(
    `select ${COLUMNS} ${FROM}
     where m.studio_id = $1 and m.kind = $2
       and (m.archived_at is not null) = $3
       and ($4 = '' or m.maker = $4) and ($5 = '' or p.body = $5) and ($6 = '' or p.opacity = $6)
       and ($7 = '' or p.sheen = $7) and ($8 = '' or $8 = any (p.pigments))
       and not exists (
         select from unnest($9::text[]) as w
         where not (m.maker_key || ' ' || m.line_key || ' ' || m.name_key || ' ' ||
                    lower(array_to_string(coalesce(p.pigments, '{}'), ' '))) like w)
     order by m.maker_key, m.line_key, m.name_key
     limit 2000`,
    [tx.studioId, f.kind, f.archived === 'yes', f.maker, f.body, f.opacity, f.sheen, f.pigment, words(f.q).map(like)],
  )
}

/** Every material of the studio, archived too, for export. */
export function allMaterials(tx: Tx): Promise<MaterialRow[]> {
  return tx.q<MaterialRow>(
    `select ${COLUMNS} ${FROM} where m.studio_id = $1 and m.kind <> 'water' order by m.kind, m.maker_key, m.line_key, m.name_key`,
    [tx.studioId],
  )
}

/** One material. @throws NotFound */
export async function findMaterial(tx: Tx, id: string): Promise<MaterialRow> {
  const [row] = await tx.q<MaterialRow>(`select ${COLUMNS} ${FROM} where m.studio_id = $1 and m.id = $2`, [
    tx.studioId,
    id,
  ])
  if (!row) throw new NotFound('paint or medium')
  return row
}

export interface Choices {
  readonly makers: string[]
  readonly pigments: string[]
}

/** What the filters offer. */
export async function choices(tx: Tx): Promise<Choices> {
  const makers = await tx.q<{ maker: string }>(
    `select distinct maker from material where studio_id = $1 and maker <> '' order by maker`,
    [tx.studioId],
  )
  const pigments = await tx.q<{ pigment: string }>(
    `select distinct unnest(pigments) as pigment from paint where studio_id = $1 order by 1`,
    [tx.studioId],
  )
  return { makers: makers.map((m) => m.maker), pigments: pigments.map((p) => p.pigment) }
}

export interface ContainerRow {
  readonly lotId: string
  readonly label: string
  readonly sizeUl: number
  readonly priceMinor: number | null
  readonly openedAt: string
  readonly leftUl: number
}

/** Bought containers of a material, newest first. */
export function containersOf(tx: Tx, materialId: string): Promise<ContainerRow[]> {
  return tx.q<ContainerRow>(
    `select l.id as "lotId", l.label, l.size_ul as "sizeUl", l.price_minor as "priceMinor",
       l.opened_at as "openedAt", coalesce(sum(c.ul), 0)::bigint as "leftUl"
     from lot l
     left join vessel_content c on c.studio_id = l.studio_id and c.lot_id = l.id
       and exists (select from vessel v where v.studio_id = c.studio_id and v.id = c.vessel_id and v.kind = 'container')
     where l.studio_id = $1 and l.material_id = $2 and l.tracked
     group by l.studio_id, l.id order by l.opened_at desc`,
    [tx.studioId, materialId],
  )
}
