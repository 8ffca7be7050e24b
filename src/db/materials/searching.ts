import type { Tx } from '../base/withStudio'

/** How alike a word must be to be taken for a typo (pg_trgm): 1 is the same, 0 shares no three letters. */
const ALIKE = 0.25
/** Words tried in place of a mistyped one. */
const TRIED = 5

/** The words of the catalogue nearest to each typed one, nearest first. */
export async function nearestWords(tx: Tx, typed: readonly string[]): Promise<Map<string, string[]>> {
  const rows = await tx.q<{ typed: string; words: string[] }>(
    `select w as typed, array(
       select word from search_word where studio_id = $1 and similarity(word, w) >= $3
       order by similarity(word, w) desc, word limit ${TRIED}
     ) as words from unnest($2::text[]) as w`,
    [tx.studioId, typed, ALIKE],
  )
  return new Map(rows.map((r) => [r.typed, r.words]))
}

export interface Used {
  readonly ids: readonly string[]
  readonly roles: readonly (readonly string[])[]
  /** When each was used last, ms. */
  readonly lastAt: readonly number[]
}

/** Paints that have been mixed, with the roles they were mixed for and when last. */
export async function usesOfPaints(tx: Tx): Promise<Used> {
  const [row] = await tx.q<{ [K in keyof Used]: Used[K] | null }>(
    `select json_agg(material_id) as ids, json_agg(roles) as roles, json_agg(last_at) as "lastAt" from (
       select material_id, array_agg(role) as roles, round(1000 * extract(epoch from max(last_at))) as last_at
       from material_use where studio_id = $1 and bottles > 0 group by 1
     ) as m`,
    [tx.studioId],
    'uses',
  )
  return { ids: row?.ids ?? [], roles: row?.roles ?? [], lastAt: row?.lastAt ?? [] }
}
