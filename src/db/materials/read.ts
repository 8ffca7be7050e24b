import type { PairVerdict } from '@/core/colour/pairVerdicts'
import { NotFound } from '@/core/errors'
import { EFFECTS_BY_KIND, type EffectProfile } from '@/core/mix/mediumEffects'
import type { Tx } from '../base/withStudio'
import { columnsOf, fieldsOf } from './fields'
import type { MaterialInput, MediumInput, PaintInput, ThinnerInput } from './schema'

interface RowFacts {
  readonly id: string
  readonly archived: boolean
  readonly revision: number
}
/** Materials with everything known about them, each with what its kind has. */
export type PaintRow = RowFacts & PaintInput
export type MediumRow = RowFacts & MediumInput
export type WaterRow = RowFacts & ThinnerInput
export type MaterialRow = PaintRow | MediumRow | WaterRow

const NO_READINGS = `'{"masstone": null, "tint": null, "shade": null}'`
const PAINTED_WITH = `json_build_object('whiteId', p.tint_white_id, 'blackId', p.shade_black_id)`
const COLUMNS = `m.id, m.kind, m.archived_at is not null as archived, m.revision, ${columnsOf('material', 'm').read},
  ${columnsOf('medium', 'md').read}, ${columnsOf('paint', 'p').read}, coalesce(p.readings, ${NO_READINGS}) as readings,
  ${PAINTED_WITH} as "paintedWith"`
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

/** What hangs on a paint besides its plain fields. */
const HANGING_NAMES = ['readings', 'paintedWith', 'flags', 'substitutes', 'standIn'] as const

/** What a form or an import would send to write this very row. */
export function inputOf(m: MaterialRow): MaterialInput {
  const names = [...fieldsOf(m.kind).map(([name]) => name), ...(m.kind === 'paint' ? HANGING_NAMES : [])]
  const values = m as unknown as Readonly<Record<string, unknown>>
  return { kind: m.kind, ...Object.fromEntries(names.map((n) => [n, values[n]])) } as MaterialInput
}

/** A medium's effects: its own, or the usual ones of its kind. */
export const effectsOf = (m: Pick<MediumRow, 'effects' | 'mediumKind'>): EffectProfile =>
  (m.effects as EffectProfile | null) ?? EFFECTS_BY_KIND[m.mediumKind]

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
