import type { MaterialKind } from '@/core/paint/properties'
import { kindsThat, MOVEMENT_KINDS, moveOf } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'

/** Where paint is lost. */
export const WASTED = [
  'thrown away as run-off',
  'left in empty containers',
  'stuck to walls',
  'spilled',
  'spilled or stuck to walls',
  'thrown away',
] as const

/** Where paint can be by now. */
export const PLACES = [
  'on pieces',
  'in stock',
  'in bottles',
  'in jars',
  ...WASTED,
  'into the air',
  'taken out',
] as const
export type Place = (typeof PLACES)[number]

/** What of one material came in, and where it is; Σ places = bought + found. */
export interface MaterialGoes {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly kind: MaterialKind
  readonly hex: string | null
  readonly boughtUl: number
  readonly foundUl: number
  readonly places: Readonly<Partial<Record<Place, number>>>
}

/** SQL: where a line's end `v` of a movement of kind `k` lies. What an undo takes back is told by what it undoes. */
const PLACE = `case v.kind
    when 'pour' then 'on pieces' when 'container' then case when finished then 'left in empty containers' else 'in stock' end when 'bottle' then 'in bottles' when 'jar' then 'in jars'
    when 'air' then 'into the air' when 'out' then 'taken out'
    else case ${MOVEMENT_KINDS.map((k) => (moveOf(k).waste ? `when k = '${k}' then '${moveOf(k).waste}'` : '')).join(' ')}
      else case loss when 'spilled' then 'spilled' when 'residue' then 'stuck to walls' else 'spilled or stuck to walls' end end end`

/** SQL: paint that comes from nowhere was bought, or taken from a supply nobody counts; by any other movement it was found. */
const BOUGHT = `k in (${kindsThat((m) => m.bringsIn === true)})`

/**
 * Where each material has gone, from the lines of the ledger alone. Supplies that nobody counts come in as they are
 * used. What was bought and what was found by measuring are told apart; both are in the sum.
 */
export async function paintGoes(tx: Tx): Promise<MaterialGoes[]> {
  const rows = await tx.q<{
    id: string
    name: string
    maker: string
    kind: MaterialKind
    hex: string | null
    boughtUl: number
    foundUl: number
    places: Partial<Record<Place, number>>
  }>(
    `with line as (
       select l.lot_id, l.from_vessel_id, l.to_vessel_id, l.ul, coalesce(r.kind, m.kind) as k, coalesce(r.loss, m.loss) as loss
       from movement_line l
       join movement m on m.studio_id = l.studio_id and m.id = l.movement_id
       left join movement r on r.studio_id = m.studio_id and r.id = m.reverses_id
       where l.studio_id = $1
     ), ends as (
       select lot_id, to_vessel_id as vessel_id, k, loss, ul from line where to_vessel_id is not null
       union all select lot_id, from_vessel_id, k, loss, -ul from line where from_vessel_id is not null
     ), held as (
       select e.lot_id, ${PLACE} as place, sum(e.ul) as ul
       from (select e.*, l.finished_at is not null as finished from ends e join lot l on l.studio_id = $1 and l.id = e.lot_id) e
       join vessel v on v.studio_id = $1 and v.id = e.vessel_id group by 1, 2
     ), came as (
       select lot_id,
         sum(case when from_vessel_id is null then ul when to_vessel_id is null then -ul else 0 end) filter (where ${BOUGHT}) as bought,
         sum(case when from_vessel_id is null then ul when to_vessel_id is null then -ul else 0 end) filter (where not ${BOUGHT}) as found
       from line where from_vessel_id is null or to_vessel_id is null group by 1
     )
     select m.id, m.name, m.maker, m.kind, p.swatch_hex as hex,
       coalesce(c.bought, 0)::bigint as "boughtUl", coalesce(c.found, 0)::bigint as "foundUl", h.places
     from (select x.material_id, json_object_agg(x.place, x.ul) as places from (
             select lot.material_id, held.place, sum(held.ul)::bigint as ul
             from held join lot on lot.studio_id = $1 and lot.id = held.lot_id group by 1, 2 having sum(held.ul) <> 0
           ) x group by 1) h
     join material m on m.studio_id = $1 and m.id = h.material_id
     left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     left join (select lot.material_id, sum(came.bought) as bought, sum(came.found) as found
                from came join lot on lot.studio_id = $1 and lot.id = came.lot_id group by 1) c on c.material_id = m.id
     order by coalesce(c.bought, 0) desc, m.name_key`,
    [tx.studioId],
  )
  return rows
}
