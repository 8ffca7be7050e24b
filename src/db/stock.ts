import type { Tx } from './withStudio'

/** What unfinished containers hold by material, µl. A material that was never counted is not in it. */
export async function onHand(tx: Tx): Promise<Map<string, number>> {
  const rows = await tx.q<{ material_id: string; ul: number }>(
    `select l.material_id, coalesce(sum(c.ul), 0)::bigint as ul
     from lot l
     left join (vessel_content c join vessel v on v.studio_id = c.studio_id and v.id = c.vessel_id and v.kind = 'container')
       on c.studio_id = l.studio_id and c.lot_id = l.id and l.finished_at is null
     where l.studio_id = $1 and l.tracked group by l.material_id`,
    [tx.studioId],
    'on_hand',
  )
  return new Map(rows.map((r) => [r.material_id, r.ul]))
}
