import type { PairVerdict } from '@/core/colour/pairVerdicts'
import { NotFound } from '@/core/errors'
import { EFFECTS_BY_KIND, type EffectProfile } from '@/core/mix/mediumEffects'
import type { Thinner } from '@/core/mix/thinners'
import type { RoleFlag } from '@/core/paint/flags'
import type { Lightfastness } from '@/core/paint/pigments'
import type { Body, MaterialKind, MediumKind, Opacity, Sheen, Strength } from '@/core/paint/properties'
import type { Tx } from '@/db/base/withStudio'
import type { MaterialInput } from './schema'

/** Spectra as read, 36 bands; null where its swatch was picked or typed. */
export interface PaintReadings {
  masstone: number[] | null
  tint: number[] | null
  shade: number[] | null
}

/** A material with everything known about it. */
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
  readonly lowUl: number | null
  readonly supplier: string
  readonly barcode: string
  readonly tags: readonly string[]
  readonly notes: string
  readonly thinner: Thinner | null
  readonly discontinued: boolean
  readonly archived: boolean
  readonly revision: number
  readonly mediumKind: MediumKind | null
  readonly effects: EffectProfile | null
  readonly body: Body | null
  readonly opacity: Opacity | null
  readonly contrastRatio: number | null
  readonly sheen: Sheen | null
  readonly sheenStrength: number | null
  readonly strength: Strength | null
  readonly lightfastness: Lightfastness | ''
  readonly pigments: readonly string[]
  readonly swatchHex: string | null
  readonly tintHex: string | null
  readonly tintWhiteShare: number | null
  readonly shadeHex: string | null
  readonly shadeBlackShare: number | null
  readonly wetHex: string | null
  readonly readings: PaintReadings | null
  readonly flags: readonly RoleFlag[]
  readonly substitutes: readonly string[]
  readonly standIn: readonly { paintId: string; parts: number }[]
}

const COLUMNS = `
  m.id, m.kind, m.maker, m.line, m.name, m.density_g_per_ml as "densityGPerMl", m.solids, m.water_share as "waterShare",
  m.container_ul as "containerUl", m.price_minor as "priceMinor", m.low_ul as "lowUl", m.supplier, m.barcode, m.tags,
  m.notes, m.thinner, m.discontinued_at is not null as discontinued, m.archived_at is not null as archived,
  m.revision, md.kind as "mediumKind", md.effects, p.body, p.opacity, p.contrast_ratio as "contrastRatio", p.sheen,
  p.sheen_strength as "sheenStrength", p.strength, coalesce(p.lightfastness, '') as lightfastness,
  coalesce(p.pigments, '{}') as pigments, p.swatch_hex as "swatchHex", p.tint_hex as "tintHex",
  p.tint_white_share as "tintWhiteShare", p.shade_hex as "shadeHex",
  p.shade_black_share as "shadeBlackShare", p.wet_hex as "wetHex", p.readings`
const HANGING = `
  coalesce((select json_agg(json_build_object('role', a.role, 'rule', a.rule, 'reason', a.reason) order by a.role)
            from paint_flag a where a.studio_id = m.studio_id and a.material_id = m.id), '[]') as flags,
  coalesce((select json_agg(s.other_id order by s.other_id)
            from paint_substitute s where s.studio_id = m.studio_id and s.material_id = m.id), '[]') as substitutes,
  coalesce((select json_agg(json_build_object('paintId', s.paint_id, 'parts', s.parts) order by s.parts desc, s.paint_id)
            from paint_stand_in s where s.studio_id = m.studio_id and s.material_id = m.id), '[]') as "standIn"`
const FROM = `from material m
  left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
  left join medium md on md.studio_id = m.studio_id and md.material_id = m.id`

/** Every material of the studio, those put away too; sorted by kind, maker, line and name. */
export function allMaterials(tx: Tx): Promise<MaterialRow[]> {
  return tx.q<MaterialRow>(
    `with flag as (
       select material_id, json_agg(json_build_object('role', role, 'rule', rule, 'reason', reason) order by role) as list
       from paint_flag where studio_id = $1 group by 1
     ), sub as (
       select material_id, json_agg(other_id order by other_id) as list from paint_substitute where studio_id = $1 group by 1
     ), stand as (
       select material_id, json_agg(json_build_object('paintId', paint_id, 'parts', parts) order by parts desc, paint_id) as list
       from paint_stand_in where studio_id = $1 group by 1
     )
     select ${COLUMNS}, coalesce(flag.list, '[]') as flags, coalesce(sub.list, '[]') as substitutes,
       coalesce(stand.list, '[]') as "standIn"
     ${FROM}
     left join flag on flag.material_id = m.id left join sub on sub.material_id = m.id
     left join stand on stand.material_id = m.id
     where m.studio_id = $1 order by m.kind, m.maker_key, m.line_key, m.name_key`,
    [tx.studioId],
  )
}

/** One material. @throws NotFound */
export async function findMaterial(tx: Tx, id: string): Promise<MaterialRow> {
  const [row] = await tx.q<MaterialRow>(`select ${COLUMNS}, ${HANGING} ${FROM} where m.studio_id = $1 and m.id = $2`, [
    tx.studioId,
    id,
  ])
  if (!row) throw new NotFound('paint or medium')
  return row
}

/** What a form or an import would send to write this very row. */
export function inputOf(m: MaterialRow): MaterialInput {
  const shared = {
    maker: m.maker,
    line: m.line,
    name: m.name,
    densityGPerMl: m.densityGPerMl,
    solids: m.solids,
    containerUl: m.containerUl,
    priceMinor: m.priceMinor,
    lowUl: m.lowUl,
    supplier: m.supplier,
    barcode: m.barcode,
    tags: [...m.tags],
    discontinued: m.discontinued,
    notes: m.notes,
  }
  if (m.kind === 'water')
    return { ...shared, kind: 'water', thinner: m.thinner ?? 'distilled', waterShare: m.waterShare }
  if (m.kind !== 'paint')
    return {
      ...shared,
      kind: m.kind,
      mediumKind: m.mediumKind!,
      waterShare: m.waterShare,
      effects: m.effects && [...m.effects],
    }
  return {
    ...shared,
    kind: 'paint',
    body: m.body!,
    opacity: m.opacity!,
    contrastRatio: m.contrastRatio,
    sheen: m.sheen!,
    sheenStrength: m.sheenStrength!,
    strength: m.strength!,
    lightfastness: m.lightfastness,
    pigments: [...m.pigments],
    swatchHex: m.swatchHex!,
    tintHex: m.tintHex,
    tintWhiteShare: m.tintWhiteShare,
    shadeHex: m.shadeHex,
    shadeBlackShare: m.shadeBlackShare,
    wetHex: m.wetHex,
    readings: m.readings ?? { masstone: null, tint: null, shade: null },
    flags: m.flags.map((f) => ({ ...f })) as never,
    substitutes: [...m.substitutes],
    standIn: m.standIn.map((s) => ({ ...s })),
  }
}

/** A medium's effects: its own, or the usual ones of its kind. */
export const effectsOf = (m: Pick<MaterialRow, 'effects' | 'mediumKind'>): EffectProfile =>
  m.effects ?? EFFECTS_BY_KIND[m.mediumKind ?? 'pouring medium']

/** Makers of the studio, for offering them while typing. */
export async function makers(tx: Tx): Promise<string[]> {
  const rows = await tx.q<{ maker: string }>(
    `select distinct maker from material where studio_id = $1 and maker <> '' order by maker`,
    [tx.studioId],
  )
  return rows.map((r) => r.maker)
}

export interface Change {
  readonly id: string
  readonly revision: number
  readonly at: string
  readonly by: string | null
  readonly before: MaterialInput | null
  readonly after: MaterialInput
}

/** What was changed of a material, newest first. */
export function changesOf(tx: Tx, materialId: string): Promise<Change[]> {
  return tx.q<Change>(
    `select c.id, c.revision, c.at, a.name as by, c.before, c.after
     from material_change c left join account a on a.id = c.by
     where c.studio_id = $1 and c.material_id = $2 order by c.revision desc limit 100`,
    [tx.studioId, materialId],
  )
}

export interface PairNoteRow {
  readonly aId: string
  readonly bId: string
  readonly verdict: PairVerdict
  readonly note: string
}

/** The maker's own notes on pairs among some paints; all pairs that touch one paint where only one is given. */
export function pairNotes(tx: Tx, ids: readonly string[]): Promise<PairNoteRow[]> {
  return tx.q<PairNoteRow>(
    `select a_id as "aId", b_id as "bId", verdict, note from pair_note
     where studio_id = $1 and (a_id = any ($2) ${ids.length === 1 ? 'or' : 'and'} b_id = any ($2)) order by at desc`,
    [tx.studioId, ids],
  )
}

/** Every note on a pair. */
export const allPairNotes = (tx: Tx): Promise<PairNoteRow[]> =>
  tx.q('select a_id as "aId", b_id as "bId", verdict, note from pair_note where studio_id = $1', [tx.studioId])

/** Paints that are not made any more, whose place a formula can take. */
export function discontinuedPaints(tx: Tx): Promise<{ id: string; label: string }[]> {
  return tx.q(
    `select id, case when maker = '' then name else name || ' · ' || maker end as label from material
     where studio_id = $1 and kind = 'paint' and discontinued_at is not null order by name_key`,
    [tx.studioId],
  )
}

/** Names and swatches of materials, archived ones too. */
export function namedSwatches(
  tx: Tx,
  ids: readonly string[],
): Promise<{ id: string; name: string; hex: string | null }[]> {
  return tx.q(
    `select m.id, m.name, p.swatch_hex as hex from material m
     left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     where m.studio_id = $1 and m.id = any ($2)`,
    [tx.studioId, ids],
  )
}
