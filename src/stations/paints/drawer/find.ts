import { countFacets, facetColumn, type FacetCount } from '@/core/paint/facets'
import { fold } from '@/core/paint/fold'
import { IDLE_DAYS } from '@/core/purchase/rhythm'
import { onHand } from '@/db/stock'
import type { Tx } from '@/db/withStudio'
import { shelfOf, type CatalogueRow } from './catalogue'
import { FACETS, picksOf, type FacetKey, type PaintFilter, type SortKey } from './filter'

/** A paint as a card or a line of the table needs it. */
export type DrawerRow = Pick<
  CatalogueRow,
  'id' | 'name' | 'maker' | 'line' | 'body' | 'opacity' | 'sheen' | 'sheenStrength' | 'pigments' | 'swatchHex' | 'densityGPerMl' |
  'containerUl' | 'priceMinor' | 'perMl' | 'flags' | 'discontinued'
> & {
  /** What counted containers hold, µl; null where none is counted. */
  readonly onHandUl: number | null
  readonly low: boolean
} // prettier-ignore

export interface Found {
  readonly total: number
  readonly rows: readonly DrawerRow[]
  readonly counts: Readonly<Record<FacetKey, readonly FacetCount[]>>
  /** True where nothing is written as typed, and what is near was found instead. */
  readonly near: boolean
}

/** Rows sent at once; the drawer asks for more as it is scrolled. */
export const CHUNK = 120

/** Words of a search, folded. */
const words = (q: string) => fold(q).split(' ').filter(Boolean).slice(0, 8)
const like = (word: string) => `%${word.replace(/[\\%_]/g, '\\$&')}%`
/** How alike a word must be to be taken for a typo: 1 is the same, 0 shares no three letters. */
const ALIKE = 0.4

/** Ids that a typed search finds: as typed, or near where nothing is. */
async function search(tx: Tx, q: string): Promise<{ ids: string[]; near: boolean } | undefined> {
  const list = words(q)
  if (list.length === 0) return undefined
  const exact = await tx.q<{ id: string }>(
    `select id from material where studio_id = $1 and kind = 'paint' and search_text like all ($2)`,
    [tx.studioId, list.map(like)],
  )
  if (exact.length) return { ids: exact.map((r) => r.id), near: false }
  const near = await tx.q<{ id: string }>(
    `select id from (
       select id, (select min(case when search_text like '%' || w || '%' then 1 else word_similarity(w, search_text) end)
                   from unnest($2::text[]) as w) as alike
       from material where studio_id = $1 and kind = 'paint'
     ) as m where alike >= $3 order by alike desc, id limit 500`,
    [tx.studioId, list, ALIKE],
  )
  return { ids: near.map((r) => r.id), near: true }
}

/** Roles each paint has been mixed for, and when it was used last. */
async function uses(tx: Tx): Promise<Map<string, { roles: string[]; lastAt: number }>> {
  const rows = await tx.q<{ material_id: string; roles: string[]; last_at: string }>(
    `select material_id, array_agg(role) as roles, max(last_at) as last_at from material_use
     where studio_id = $1 and bottles > 0 group by 1`,
    [tx.studioId],
  )
  return new Map(rows.map((r) => [r.material_id, { roles: r.roles, lastAt: Date.parse(r.last_at) }]))
}

/**
 * The paints of a view: a chunk of them from `filter.from` on, how many there are, and live counts of every facet.
 * @param now tells what is idle
 */
export async function findPaints(tx: Tx, filter: PaintFilter, now: Date, chunk = CHUNK): Promise<Found> {
  const shelf = await shelfOf(tx, filter.archived === 'yes')
  const searched = await search(tx, filter.q)
  const held = await onHand(tx)
  const used = await uses(tx)
  const { rows, index } = shelf
  const columns = [
    ...shelf.columns,
    facetColumn(
      'stock',
      rows.map((m) => stockWords(held.get(m.id) ?? null, m.lowUl)),
    ),
    facetColumn(
      'used',
      rows.map((m) => {
        const use = used.get(m.id)
        if (!use) return ['never used']
        return now.getTime() - use.lastAt > IDLE_DAYS * 86_400_000 ? [...use.roles, 'idle'] : use.roles
      }),
    ),
  ]
  let within: Uint8Array | undefined
  if (searched) {
    within = new Uint8Array(rows.length)
    for (const id of searched.ids) {
      const at = index.get(id)
      if (at !== undefined) within[at] = 1
    }
  }
  const chosen = Object.fromEntries(FACETS.map(([key]) => [key, picksOf(filter, key)]))
  const { matches, counts } = countFacets(rows.length, columns, chosen, within)
  const sorted = order(matches, rows, filter.sort, {
    held: (m) => held.get(m.id) ?? -1,
    lastAt: (m) => used.get(m.id)?.lastAt ?? 0,
    rank: searched?.near ? new Map(searched.ids.map((id, i) => [id, i])) : undefined,
  })
  return {
    total: sorted.length,
    rows: sorted.slice(filter.from, filter.from + chunk).map((i) => drawerRow(rows[i]!, held.get(rows[i]!.id) ?? null)),
    counts: counts as Found['counts'],
    near: searched?.near ?? false,
  }
}

const isLow = (onHandUl: number | null, lowUl: number | null) => onHandUl !== null && lowUl !== null && onHandUl < lowUl

function stockWords(onHandUl: number | null, lowUl: number | null): string[] {
  if (onHandUl === null) return ['not counted']
  if (onHandUl === 0) return ['used up']
  return isLow(onHandUl, lowUl) ? ['in stock', 'low'] : ['in stock']
}

interface Dynamic {
  held(m: CatalogueRow): number
  lastAt(m: CatalogueRow): number
  /** Order of a near search; it goes before any other. */
  readonly rank: ReadonlyMap<string, number> | undefined
}

/** Rows arrive by maker, line and name, and sorting is stable: that order breaks every tie. */
function order(matches: number[], rows: readonly CatalogueRow[], sort: SortKey, by: Dynamic): number[] {
  const key: Readonly<Record<SortKey, (m: CatalogueRow) => number>> = {
    name: () => 0,
    hue: (m) => m.hueOrder,
    light: (m) => -m.lab[0],
    used: (m) => -by.lastAt(m),
    amount: (m) => -by.held(m),
    price: (m) => m.perMl ?? Number.MAX_VALUE,
  }
  const { rank } = by
  const of = rank && sort === 'name' ? (m: CatalogueRow) => rank.get(m.id) ?? rank.size : key[sort]
  if (of === key.name) return matches
  const keys = new Map(matches.map((i) => [i, of(rows[i]!)]))
  return [...matches].sort((a, b) => keys.get(a)! - keys.get(b)!)
}

const drawerRow = (m: CatalogueRow, onHandUl: number | null): DrawerRow => ({
  id: m.id,
  name: m.name,
  maker: m.maker,
  line: m.line,
  body: m.body,
  opacity: m.opacity,
  sheen: m.sheen,
  sheenStrength: m.sheenStrength,
  pigments: m.pigments,
  swatchHex: m.swatchHex,
  densityGPerMl: m.densityGPerMl,
  containerUl: m.containerUl,
  priceMinor: m.priceMinor,
  perMl: m.perMl,
  flags: m.flags,
  discontinued: m.discontinued,
  onHandUl,
  low: isLow(onHandUl, m.lowUl),
})
