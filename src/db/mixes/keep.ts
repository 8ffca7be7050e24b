import type { Thinner } from '@/core/mix/thinners'
import type { MediumKind } from '@/core/paint/properties'
import { keepsDays } from '@/core/vessel/keepsDays'
import { pool } from '../base/pool'
import { withStudio, type Tx } from '../base/withStudio'

/** Works out until when bottles keep: from their water, their mediums, and how warm the rack stands. */
export async function refreshKeep(tx: Tx, vesselIds: readonly string[]): Promise<void> {
  const rows = await tx.q<{ id: string; c: number; waters: (Thinner | null)[] | null; mediums: MediumKind[] | null }>(
    `select b.vessel_id as id, s.shelf_c as c,
       json_agg(distinct m.thinner) filter (where m.kind = 'water') as waters,
       json_agg(distinct d.kind) filter (where d.kind is not null) as mediums
     from bottle b
     join studio s on s.studio_id = b.studio_id
     join vessel_content c on c.studio_id = b.studio_id and c.vessel_id = b.vessel_id and c.ul > 0
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join material m on m.studio_id = l.studio_id and m.id = l.material_id
     left join medium d on d.studio_id = m.studio_id and d.material_id = m.id
     where b.studio_id = $1 and b.vessel_id = any ($2) group by b.vessel_id, s.shelf_c`,
    [tx.studioId, vesselIds],
  )
  await tx.q(
    `update bottle b set keep_until = b.mixed_at + make_interval(days => k.days)
     from unnest($2::uuid[], $3::int[]) as k (id, days) where b.studio_id = $1 and b.vessel_id = k.id`,
    [
      tx.studioId,
      rows.map((r) => r.id),
      rows.map((r) => keepsDays({ thinners: r.waters ?? [], mediums: r.mediums ?? [], rackC: r.c })),
    ],
  )
}

/** Gives every bottle that has none its keep-until; for data from before there were any. @returns how many */
export async function fillKeep(): Promise<number> {
  const { rows } = await pool().query<{ studio_id: string }>('select distinct studio_id from account_studio')
  let filled = 0
  for (const { studio_id: studioId } of rows)
    await withStudio({ studioId, accountId: null }, async (tx) => {
      const bottles = await tx.q<{ id: string }>(
        'select vessel_id as id from bottle where studio_id = $1 and keep_until is null and emptied_at is null',
        [tx.studioId],
      )
      await refreshKeep(
        tx,
        bottles.map((b) => b.id),
      )
      filled += bottles.length
    })
  return filled
}
