import type { RoleFlag } from '@/core/paint/flags'
import type { MakersWord } from '@/core/plan/makersWord'
import type { Tx } from '@/db/base/withStudio'

/** Everything the maker has said of paints in roles and of paints beside each other. */
export async function makersWord(tx: Tx): Promise<MakersWord> {
  const pairs = await tx.q<MakersWord['pairs'][number]>(
    `select a_id as "aId", b_id as "bId", verdict, note from pair_note where studio_id = $1 order by at`,
    [tx.studioId],
  )
  const paints = await tx.q<{ id: string; name: string; flags: RoleFlag[] }>(
    `select m.id, m.name, coalesce((
       select json_agg(json_build_object('role', f.role, 'rule', f.rule, 'reason', f.reason) order by f.role)
       from paint_flag f where f.studio_id = m.studio_id and f.material_id = m.id), '[]') as flags
     from material m where m.studio_id = $1 and m.kind = 'paint' and (
       exists (select from paint_flag f where f.studio_id = m.studio_id and f.material_id = m.id)
       or m.id = any ($2))`,
    [tx.studioId, pairs.flatMap((p) => [p.aId, p.bId])],
  )
  return { pairs, paints: Object.fromEntries(paints.map((p) => [p.id, { name: p.name, flags: p.flags }])) }
}
