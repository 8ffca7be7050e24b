import type { Surface } from '@/core/surface/shapes'
import type { Tx } from '../base/withStudio'
import { notUndone } from '../ledger'

/** What one piece cost, minor units not rounded, and what was asked for it. */
export interface PieceCost {
  readonly id: string
  readonly title: string
  readonly technique: string
  readonly surface: Surface
  readonly fate: string
  readonly paintMinor: number
  /** Of what was poured, what went to waste: part of the paint, told apart. */
  readonly wasteMinor: number
  readonly surfaceMinor: number
  readonly finishMinor: number
  readonly priceMinor: number | null
  /** Paint on it whose price nobody knows, µl. */
  readonly unpricedUl: number
}

/** Pieces with their costs, newest first; paint that went back or into a jar is not theirs. */
export function pieceCosts(tx: Tx): Promise<PieceCost[]> {
  return tx.q<PieceCost>(
    `with newest as (
       select * from piece where studio_id = $1 and fate <> 'undone' order by poured_at desc limit 500
     ), ml as (
       select id as lot_id, price_minor::float8 / nullif(size_ul, 0) as per from lot where studio_id = $1
     ), held as (
       select p.id, sum(c.ul * ml.per) as minor, sum(c.ul) filter (where ml.per is null) as unpriced
       from newest p join vessel_content c on c.studio_id = p.studio_id and c.vessel_id = p.vessel_id and c.ul > 0
       join ml on ml.lot_id = c.lot_id group by 1
     ), wasted as (
       select p.id, sum(l.ul * ml.per) as minor
       from newest p join movement_line l on l.studio_id = p.studio_id and l.from_vessel_id = p.vessel_id
       join vessel v on v.studio_id = l.studio_id and v.id = l.to_vessel_id and v.kind = 'waste'
       join ml on ml.lot_id = l.lot_id
       where ${notUndone('l', 'movement_id')} group by 1
     ), coats as (
       select f.piece_id as id, sum(f.cost_minor) as minor from finish_coat f where f.studio_id = $1 group by 1
     )
     select p.id, p.title, p.technique, p.surface, p.fate,
       (coalesce(h.minor, 0) + coalesce(w.minor, 0))::float8 as "paintMinor", coalesce(w.minor, 0)::float8 as "wasteMinor",
       p.surface_cost_minor::float8 as "surfaceMinor", coalesce(c.minor, 0)::float8 as "finishMinor",
       p.price_minor as "priceMinor", coalesce(h.unpriced, 0)::float8 as "unpricedUl"
     from newest p left join held h on h.id = p.id left join wasted w on w.id = p.id left join coats c on c.id = p.id
     order by p.poured_at desc`,
    [tx.studioId],
  )
}
