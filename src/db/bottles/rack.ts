import type { BottleFacts } from '@/core/vessel/needs'
import type { Read } from '@/core/vessel/thickening'
import type { Tx } from '@/db/base/withStudio'

/** A bottle as the rack sorts and draws it. Times in ms since 1970. */
export interface RackBottle extends BottleFacts, Read {
  readonly id: string
  readonly code: string
  readonly label: string
  readonly palette: string
  readonly hex: string | null
  readonly sheen: string
  readonly isJar: boolean
  readonly isReference: boolean
}

const COLUMNS = [
  'id',
  'code',
  'label',
  'role',
  'palette',
  'technique',
  'hex',
  'sheen',
  'isJar',
  'ul',
  'capacityUl',
  'mixedAt',
  'restUntil',
  'keepUntil',
  'movedAt',
  'evaporatedUl',
  'levelTimeS',
  'readAt',
  'w',
  'readW',
  'curveB',
  'thickens',
  'isReference',
] as const

const ms = (column: string) => `(extract(epoch from ${column}) * 1000)::bigint`

/** Everything on the rack, newest first; `empty`: what was emptied instead. */
export async function rackBottles(tx: Tx, empty: boolean): Promise<RackBottle[]> {
  // As one text of JSON arrays: thousands of rows are then read by the JSON parser and not one by one.
  const [row] = await tx.q<{ list: string | null }>(
    `select json_agg(json_build_array(v.id, b.code, v.label, b.role, b.palette, b.technique, b.colour_hex, b.sheen, v.kind = 'jar',
         coalesce(c.ul, 0), v.capacity_ul, ${ms('b.mixed_at')}, ${ms('b.rest_until')}, ${ms('b.keep_until')}, ${ms('b.moved_at')},
         round(b.evaporated_share * coalesce(c.ul, 0)), b.level_time_s, ${ms('b.read_at')}, b.w, b.read_w, b.curve_b, b.thickens, b.is_reference)
       order by b.mixed_at desc, v.id desc)::text as list
     from bottle b
     join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     left join (select vessel_id, sum(ul)::bigint as ul from vessel_content where studio_id = $1 group by vessel_id) c on c.vessel_id = b.vessel_id
     where b.studio_id = $1 and (b.emptied_at is not null) = $2`,
    [tx.studioId, empty],
    'rack_bottles',
  )
  const list = JSON.parse(row?.list ?? '[]') as unknown[][]
  return list.map((r) => Object.fromEntries(COLUMNS.map((k, i) => [k, r[i]])) as unknown as RackBottle)
}
