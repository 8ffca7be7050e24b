import type { Tx } from '@/db/base/withStudio'

/** What unfinished containers hold by material, µl. A material that was never counted is not in it. */
export async function onHand(tx: Tx): Promise<Map<string, number>> {
  // As two arrays of JSON: thousands of rows are then read by the JSON parser and not one by one.
  const [row] = await tx.q<{ ids: string[] | null; uls: number[] | null }>(
    `select json_agg(material_id) as ids, json_agg(ul) as uls from (
       select l.material_id, coalesce(sum(c.ul), 0)::bigint as ul
       from lot l
       left join vessel_content c on c.studio_id = l.studio_id and c.vessel_id = l.container_id and c.lot_id = l.id
         and l.finished_at is null
       where l.studio_id = $1 and l.tracked group by l.material_id
     ) as m`,
    [tx.studioId],
    'on_hand',
  )
  return new Map(row?.ids?.map((id, i) => [id, row.uls![i]!]))
}
