import { v7 as uuidv7 } from 'uuid'
import type { Tx } from '@/db/base/withStudio'

/** A kind of surface on the shelf, with how many there are and what one cost. */
export interface StockedSurface {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly shape: 'rectangle' | 'round'
  readonly lengthMm: number
  readonly widthMm: number
  readonly diameterMm: number
  readonly edgeMm: number
  readonly grade: 'practice' | 'sale'
  readonly onHand: number
  /** Mean price of one over all priced packs, minor units; null where no pack had a price. */
  readonly eachMinor: number | null
}

/** Surfaces of the studio, most on hand first. */
export function listSurfaces(tx: Tx): Promise<StockedSurface[]> {
  return tx.q<StockedSurface>(
    `select s.id, s.kind, s.name, s.shape, s.length_mm as "lengthMm", s.width_mm as "widthMm", s.diameter_mm as "diameterMm",
       s.edge_mm as "edgeMm", s.grade, coalesce(sum(m.count), 0)::int as "onHand",
       round(sum(m.price_minor) filter (where m.count > 0)::numeric
             / nullif(sum(m.count) filter (where m.count > 0 and m.price_minor is not null), 0)) as "eachMinor"
     from surface_stock s left join surface_move m on m.studio_id = s.studio_id and m.surface_id = s.id
     where s.studio_id = $1 and s.archived_at is null
     group by s.studio_id, s.id order by 10 desc, s.name`,
    [tx.studioId],
  )
}

/** Books out what a pour used, as far as the shelf holds it: a pour is never refused for a miscounted shelf. */
export async function takeSurfaces(tx: Tx, id: string, count: number, requestId: string, title: string): Promise<void> {
  await tx.q(
    `insert into surface_move (studio_id, id, request_id, surface_id, count, by, note)
     select $1, $2, $3, $4, -least($5::int, sum(count)::int), $6, left('poured: ' || $7, 400)
     from surface_move where studio_id = $1 and surface_id = $4 having sum(count) > 0
     on conflict (studio_id, request_id) do nothing`,
    [tx.studioId, uuidv7(), requestId, id, count, tx.accountId, title],
  )
}
