import type { BottleFacts } from '@/core/vessel/needs'
import type { Read } from '@/core/vessel/thickening'
import type { Tx } from '../base/withStudio'
import { FACTS, TIMES } from './read'

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
  readonly hasAdditive: boolean
}

/** The facts the rack shows; one that is missing here does not compile. */
const SHOWN: Readonly<Record<keyof RackBottle, true>> = {
  id: true,
  code: true,
  label: true,
  role: true,
  palette: true,
  technique: true,
  hex: true,
  sheen: true,
  isJar: true,
  ul: true,
  capacityUl: true,
  mixedAt: true,
  restUntil: true,
  keepUntil: true,
  movedAt: true,
  evaporatedUl: true,
  levelTimeS: true,
  readAt: true,
  w: true,
  readW: true,
  curveB: true,
  thickens: true,
  isReference: true,
  hasAdditive: true,
}
const NAMES = Object.keys(SHOWN) as (keyof RackBottle)[]
const ms = (column: string) => `(extract(epoch from ${column}) * 1000)::bigint`
/** As one text of JSON arrays in the order of the names: thousands of rows are then read by the JSON parser. */
const LIST = `select json_agg(json_build_array(${NAMES.map((n) => (TIMES.has(n) ? ms(FACTS[n]) : FACTS[n])).join(', ')})
    order by b.mixed_at desc, v.id desc)::text as list
  from bottle b
  join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
  left join (select vessel_id, sum(ul)::bigint as ul from vessel_content where studio_id = $1 group by vessel_id) held
    on held.vessel_id = b.vessel_id
  where b.studio_id = $1 and (b.emptied_at is not null) = $2`

/** Everything on the rack, newest first; `empty`: what was emptied instead. */
export async function rackBottles(tx: Tx, empty: boolean): Promise<RackBottle[]> {
  const [row] = await tx.q<{ list: string | null }>(LIST, [tx.studioId, empty], 'rack_bottles')
  const list = JSON.parse(row?.list ?? '[]') as RackBottle[keyof RackBottle][][]
  return list.map(
    (values) => Object.fromEntries(NAMES.map((n, i) => [n, values[i]])) as { [K in keyof RackBottle]: RackBottle[K] },
  )
}
