import type { SurfaceGrade, SurfaceShape } from '@/core/surface/stock'
import type { Tx } from '@/db/base/withStudio'

/** A kind of surface on the shelf, with how many there are and what one cost. */
export interface StockedSurface {
  readonly id: string
  readonly kind: string
  readonly name: string
  readonly shape: SurfaceShape
  readonly lengthMm: number
  readonly widthMm: number
  readonly diameterMm: number
  readonly edgeMm: number
  readonly grade: SurfaceGrade
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
