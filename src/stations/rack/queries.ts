import { listWaters } from '@/db/catalogue'
import type { Tx } from '@/db/withStudio'

/** What stands beside a bottle's own facts: waters, other bottles to pour into it, and the pieces it was poured on. */
export async function besideBottle(tx: Tx, id: string) {
  const waters = await listWaters(tx)
  const others = await tx.q<{ id: string; label: string }>(
    `select v.id, v.label from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.emptied_at is null and v.id <> $2 order by lower(v.label) limit 500`,
    [tx.studioId, id],
  )
  const fed = await tx.q<{ id: string; title: string; ul: number }>(
    `select p.id, p.title, sum(l.ul)::bigint as ul from movement_line l
     join piece p on p.studio_id = l.studio_id and p.movement_id = l.movement_id and p.fate <> 'undone'
     where l.studio_id = $1 and l.from_vessel_id = $2 group by p.id, p.title, p.poured_at order by p.poured_at desc limit 30`,
    [tx.studioId, id],
  )
  return { waters, others, fed }
}
