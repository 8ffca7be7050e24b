import { sureOf } from '@/core/colour/predict'
import { surePaint, sureWords } from '@/core/colour/sureWords'
import type { LotPortion } from '@/db/bottles/read'
import { listWaters } from '@/db/materials/mixable'
import { readOptics } from '@/db/materials/optics'
import type { Tx } from '@/db/base/withStudio'

/** How sure the computed colour of a bottle is, and what would make it surer; nothing where no paint is in it. */
export async function sureOfBottle(tx: Tx, portions: readonly LotPortion[]) {
  const paints = await readOptics(tx, [...new Set(portions.map((p) => p.materialId))])
  if (paints.length === 0) return undefined
  const own = (id: string) => portions.filter((p) => p.materialId === id)
  return sureWords(
    sureOf(
      paints.map(surePaint),
      paints.map((p) => own(p.id).reduce((sum, o) => sum + o.ul, 0)),
    ),
    paints.map((p) => own(p.id)[0]!.material),
  )
}

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
