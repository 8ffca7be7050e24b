import type { MovementKind } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'

/** One movement as it is told: what, when, how much of a vessel it changed. */
export interface JournalEntry {
  readonly id: string
  readonly kind: MovementKind
  readonly at: string
  readonly note: string
  readonly by: string | null
  /** µl into (positive) or out of the vessel asked for; of the whole movement where none was. */
  readonly ul: number
  /** Names of what is on the other side. */
  readonly places: readonly string[]
  readonly undone: boolean
}

/** What of a journal is wanted: one kind of movement, and what came before a movement that is known. */
export interface JournalPage {
  readonly kind?: MovementKind | undefined
  readonly before?: string | undefined
}

const JOURNAL = `select m.id, m.kind, m.at, m.note, a.name as by, t.ul, t.places,
     exists (select from movement u where u.studio_id = m.studio_id and u.reverses_id = m.id) as undone
   from movement m
   left join account a on a.id = m.by
   cross join lateral (
     select coalesce(sum(case when $2::uuid is null or l.to_vessel_id = $2 then l.ul when l.from_vessel_id = $2 then -l.ul else 0 end), 0)::bigint as ul,
       coalesce(array_agg(distinct v.label) filter (where v.label is not null), '{}') as places
     from movement_line l
     left join vessel v on v.studio_id = l.studio_id
       and v.id = case when l.to_vessel_id is not distinct from $2 then l.from_vessel_id else l.to_vessel_id end
     where l.studio_id = m.studio_id and l.movement_id = m.id
   ) t
   where m.studio_id = $1 and ($2::uuid is null or exists (
     select from movement_line l where l.studio_id = m.studio_id and l.movement_id = m.id
       and (l.from_vessel_id = $2 or l.to_vessel_id = $2)))
     and ($4::text is null or m.kind = $4)
     and ($5::uuid is null or (m.at, m.id) < (select b.at, b.id from movement b where b.studio_id = $1 and b.id = $5))
   order by m.at desc, m.id desc limit $3`

const wanted = (tx: Tx, vesselId: string | null, most: number, { kind, before }: JournalPage) => [
  tx.studioId,
  vesselId,
  most,
  kind ?? null,
  before ?? null,
]

/** Movements of one vessel, or of the whole studio, newest first. */
export const journal = (tx: Tx, vesselId: string | null, most = 100, page: JournalPage = {}): Promise<JournalEntry[]> =>
  tx.q<JournalEntry>(JOURNAL, wanted(tx, vesselId, most, page))

/** The same of the whole studio as the text of a JSON list: a page that is only handed on is neither read nor written anew. */
export async function journalText(tx: Tx, most: number, page: JournalPage): Promise<string> {
  const [row] = await tx.q<{ list: string }>(
    `select coalesce(json_agg(j), '[]')::text as list from (${JOURNAL}) j`,
    wanted(tx, null, most, page),
  )
  return row!.list
}
