import type { makeStudio } from './studio'

type Studio = Awaited<ReturnType<typeof makeStudio>>

/**
 * Per lot: what all vessels hold, and what went into sinks, is what came in from nowhere less what went back. What a
 * vessel holds is the sum of its lines; sinks keep no content of their own.
 */
async function balance(studio: Studio) {
  return studio.run(async (tx) => {
    const wrong = await tx.q(
      `with moved as (
         select lot_id, vessel_id, sum(ul)::bigint as ul from (
           select lot_id, to_vessel_id as vessel_id, ul from movement_line where studio_id = $1
           union all
           select lot_id, from_vessel_id, -ul from movement_line where studio_id = $1
         ) x group by lot_id, vessel_id
       )
       select lot_id, vessel_id, coalesce(m.ul, 0) as by_lines, coalesce(c.ul, 0) as held
       from (select * from moved where vessel_id not in (select id from vessel where studio_id = $1 and kind in ('waste', 'air', 'out'))) m
       full join (select * from vessel_content where studio_id = $1) c using (lot_id, vessel_id)
       where coalesce(m.ul, 0) <> coalesce(c.ul, 0) or coalesce(c.ul, 0) < 0`,
      [tx.studioId],
    )
    const lots = await tx.q<{ held: number; sunk: number; came: number }>(
      `select (select coalesce(sum(ul), 0)::bigint from vessel_content c where c.studio_id = $1 and c.lot_id = l.id) as held,
              (select coalesce(sum(case when t.id is not null then ul when f.id is not null then -ul else 0 end), 0)::bigint
               from movement_line x
               left join vessel t on t.studio_id = $1 and t.id = x.to_vessel_id and t.kind in ('waste', 'air', 'out')
               left join vessel f on f.studio_id = $1 and f.id = x.from_vessel_id and f.kind in ('waste', 'air', 'out')
               where x.studio_id = $1 and x.lot_id = l.id) as sunk,
              (select coalesce(sum(case when from_vessel_id is null then ul when to_vessel_id is null then -ul else 0 end), 0)::bigint
               from movement_line where studio_id = $1 and lot_id = l.id) as came
       from lot l where l.studio_id = $1`,
      [tx.studioId],
    )
    return { wrong, lots }
  })
}

/** Whether every lot of a studio is conserved. */
export async function expectBalanced(studio: Studio) {
  const { wrong, lots } = await balance(studio)
  expect(wrong).toEqual([])
  for (const lot of lots) expect(lot.held + lot.sunk).toBe(lot.came)
}
