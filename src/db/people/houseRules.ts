import { type Band, START_BANDS } from '@/core/consistency/levelTime'
import type { HouseRules } from '@/core/mix/houseRules'
import type { SchoolLine } from '@/core/mix/schools'
import type { Body } from '@/core/paint/properties'
import type { InferType } from 'yup'
import type { Tx } from '../base/withStudio'
import { ownersOnly } from './ownersOnly'
import type { studioSchema } from './studioSchema'

/** The house rules as plain data, for pages. */
export interface RulesRow {
  readonly byBody: HouseRules['byBody']
  readonly byPaint: readonly {
    readonly paintId: string
    readonly medium: number
    readonly paint: number
    readonly note: string
  }[]
  readonly schools: Readonly<
    Record<string, { readonly lines: readonly SchoolLine[]; readonly steps: readonly string[] }>
  >
  readonly bands: readonly Band[]
  readonly rackC: number
}

/** The studio's rules of mixing. */
export async function houseRules(tx: Tx): Promise<RulesRow> {
  const [row] = await tx.q<Omit<RulesRow, 'bands'> & { bands: Band[] | null }>(
    `select s.ratios as "byBody", s.schools, s.bands, s.shelf_c as "rackC",
       (select coalesce(json_agg(json_build_object('paintId', paint_id, 'medium', medium, 'paint', paint, 'note', note)), '[]')
        from paint_ratio r where r.studio_id = s.studio_id) as "byPaint"
     from studio s where s.studio_id = $1`,
    [tx.studioId],
  )
  return { ...row!, bands: row!.bands ?? START_BANDS }
}

export const rulesOf = (row: RulesRow): HouseRules => ({
  byBody: row.byBody,
  byPaint: new Map(row.byPaint.map((r) => [r.paintId, r])),
  schools: new Map(Object.entries(row.schools)),
})

export const saveRatioOfBody = (tx: Tx, body: Body, ratio: { medium: number; paint: number } | null) =>
  ratio
    ? tx.q('update studio set ratios = ratios || jsonb_build_object($2::text, $3::jsonb) where studio_id = $1', [
        tx.studioId,
        body,
        JSON.stringify(ratio),
      ])
    : tx.q('update studio set ratios = ratios - $2::text where studio_id = $1', [tx.studioId, body])

export const saveRatioOfPaint = (
  tx: Tx,
  paintId: string,
  ratio: { medium: number; paint: number; note: string } | null,
) =>
  ratio
    ? tx.q(
        `insert into paint_ratio (studio_id, paint_id, medium, paint, note) values ($1, $2, $3, $4, $5)
         on conflict (studio_id, paint_id) do update set medium = excluded.medium, paint = excluded.paint, note = excluded.note`,
        [tx.studioId, paintId, ratio.medium, ratio.paint, ratio.note],
      )
    : tx.q('delete from paint_ratio where studio_id = $1 and paint_id = $2', [tx.studioId, paintId])

export const saveSchool = (
  tx: Tx,
  key: string,
  school: { lines: readonly SchoolLine[]; steps: readonly string[] } | null,
) =>
  school
    ? tx.q('update studio set schools = schools || jsonb_build_object($2::text, $3::jsonb) where studio_id = $1', [
        tx.studioId,
        key,
        JSON.stringify(school),
      ])
    : tx.q('update studio set schools = schools - $2::text where studio_id = $1', [tx.studioId, key])

export const saveBands = (tx: Tx, bands: readonly Band[] | null) =>
  tx.q('update studio set bands = $2 where studio_id = $1', [tx.studioId, bands && JSON.stringify(bands)])
export const saveRackWarmth = (tx: Tx, rackC: number) =>
  tx.q('update studio set shelf_c = $2 where studio_id = $1', [tx.studioId, rackC])

/** Keeps the studio's own name, units, water school and currency. */
export async function saveStudio(tx: Tx, r: InferType<typeof studioSchema>): Promise<void> {
  ownersOnly(tx)
  await tx.q(
    'update studio set name = $2, units = $3, water_school = $4, currency = $5, water_share = $6 where studio_id = $1',
    [tx.studioId, r.name, r.units, r.waterSchool, r.currency, r.waterShare],
  )
}
