import type { Tx } from '../base/withStudio'
import { notUndone } from '../ledger'

/** A bottle's ratio by its name, and by what the ledger says really went in when it was mixed. */
export interface RatioCame {
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly mixedAt: string
  /** Medium ÷ paint and water ÷ paint, as named and as poured. */
  readonly namedMedium: number
  readonly cameMedium: number
  readonly namedWater: number
  readonly cameWater: number
}

/** Mixes with their named and their real ratios, newest first. */
export function ratiosCame(tx: Tx): Promise<RatioCame[]> {
  return tx.q<RatioCame>(
    `with went as (
       select l.to_vessel_id as id,
         sum(l.ul) filter (where m.kind = 'paint')::float8 as paint,
         coalesce(sum(l.ul) filter (where m.kind = 'medium'), 0)::float8 as medium,
         coalesce(sum(l.ul) filter (where m.kind = 'water'), 0)::float8 as water
       from movement mv
       join movement_line l on l.studio_id = mv.studio_id and l.movement_id = mv.id and l.to_vessel_id is not null
       join lot on lot.studio_id = l.studio_id and lot.id = l.lot_id
       join material m on m.studio_id = lot.studio_id and m.id = lot.material_id
       where mv.studio_id = $1 and mv.kind = 'mix' and ${notUndone('mv')}
       group by 1
     ), named as (
       select b.vessel_id as id, (b.recipe ->> 'paintParts')::float8 as paint,
         coalesce((select sum((x ->> 'parts')::float8) from jsonb_array_elements(b.recipe -> 'mediums') x), 0) as medium,
         coalesce((b.recipe -> 'water' ->> 'parts')::float8, 0) as water
       from bottle b where b.studio_id = $1
     )
     select b.vessel_id as id, v.label, b.colour_hex as hex, b.mixed_at as "mixedAt",
       n.medium / n.paint as "namedMedium", w.medium / w.paint as "cameMedium",
       n.water / n.paint as "namedWater", w.water / w.paint as "cameWater"
     from bottle b
     join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id and v.kind = 'bottle'
     join named n on n.id = b.vessel_id join went w on w.id = b.vessel_id
     where b.studio_id = $1 and n.paint > 0 and w.paint > 0
     order by b.mixed_at desc limit 500`,
    [tx.studioId],
  )
}
