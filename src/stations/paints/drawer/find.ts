import { countFacets, facetColumn, type FacetColumn, type FacetCount } from '@/core/paint/facets'
import { fold } from '@/core/paint/fold'
import { IDLE_DAYS } from '@/core/purchase/rhythm'
import { onHand } from '@/db/materials/onHand'
import { nearestWords, usesOfPaints } from '@/db/materials/searching'
import type { Tx } from '@/db/base/withStudio'
import { drawerOf, type DrawerPaint, type Drawer } from '@/db/materials/drawer'
import { FACETS, picksOf, type FacetKey, type PaintFilter, type SortKey } from './filter'

/** A paint as a card or a line of the table needs it. */
export type DrawerRow = Pick<
  DrawerPaint,
  | 'id'
  | 'name'
  | 'maker'
  | 'line'
  | 'body'
  | 'opacity'
  | 'sheen'
  | 'sheenStrength'
  | 'pigments'
  | 'swatchHex'
  | 'densityGPerMl'
  | 'containerUl'
  | 'priceMinor'
  | 'perMl'
  | 'flags'
  | 'discontinued'
> & {
  /** What counted containers hold, µl; null where none is counted. */
  readonly onHandUl: number | null
  readonly low: boolean
}

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

interface Searched {
  /** 1 for each row found, 2 where the likeliest words were. */
  readonly hits: Uint8Array
  /** True where a word was taken for the nearest that is written somewhere. */
  readonly near: boolean
}

/** Rows in which every typed word stands; a word that stands nowhere is taken for those nearest to it. */
async function search(tx: Tx, q: string, drawer: Drawer): Promise<Searched | undefined> {
  const list = words(q)
  if (list.length === 0) return undefined
  const hits = new Uint8Array(drawer.rows.length).fill(2)
  const strange: string[] = []
  for (const word of list) {
    const standing = rowsWith(drawer, word)
    if (standing.includes(1)) keepWhere(hits, standing)
    else strange.push(word)
  }
  if (strange.length === 0) return { hits, near: false }
  const meant = await nearestWords(tx, strange)
  for (const word of strange) {
    const [first, ...others] = (meant.get(word) ?? []).map((m) => rowsWith(drawer, m))
    for (let i = 0; i < hits.length; i++)
      if (!first?.[i]) hits[i] = others.some((o) => o[i]) ? Math.min(hits[i]!, 1) : 0
  }
  return { hits, near: true }
}

/** 1 for each row whose text holds a word; a word never holds a line's end. */
function rowsWith({ text, lines, rows }: Drawer, word: string): Uint8Array {
  const standing = new Uint8Array(rows.length)
  let row = 0
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, lines[row])) {
    while (lines[row + 1]! <= at) row += 1
    standing[row] = 1
    row += 1
    if (row === rows.length) break
  }
  return standing
}

function keepWhere(hits: Uint8Array, standing: Uint8Array): void {
  for (let i = 0; i < hits.length; i++) if (!standing[i]) hits[i] = 0
}

const NOT_COUNTED = -1

/** What moves from day to day, by the row of the drawer: stock (µl, −1 where not counted), use, and what these read as. */
interface Moving {
  readonly stockUl: Float64Array
  readonly lastAt: Float64Array
  readonly columns: readonly FacetColumn[]
}

async function moving(tx: Tx, { rows, index }: Drawer, now: Date): Promise<Moving> {
  const stockUl = new Float64Array(rows.length).fill(NOT_COUNTED)
  for (const [id, ul] of await onHand(tx)) {
    const at = index.get(id)
    if (at !== undefined) stockUl[at] = ul
  }
  const used = await usesOfPaints(tx)
  const lastAt = new Float64Array(rows.length)
  const words = new Array<readonly string[]>(rows.length).fill(NEVER)
  const idleBefore = now.getTime() - IDLE_DAYS * 86_400_000
  used.ids.forEach((id, k) => {
    const at = index.get(id)
    if (at === undefined) return
    lastAt[at] = used.lastAt[k]!
    words[at] = used.lastAt[k]! < idleBefore ? [...used.roles[k]!, 'idle'] : used.roles[k]!
  })
  const columns = [
    facetColumn('stock', rows.length, (i) => stockWords(stockUl[i]!, rows[i]!.lowUl)),
    facetColumn('used', rows.length, (i) => words[i]!),
  ]
  return { stockUl, lastAt, columns }
}

const NEVER = ['never used']

/**
 * The paints of a view: a chunk of them from `filter.from` on, how many there are, and live counts of every facet.
 * @param now tells what is idle
 */
export async function findPaints(tx: Tx, filter: PaintFilter, now: Date, chunk = CHUNK): Promise<Found> {
  const drawer = await drawerOf(tx, filter.archived === 'yes')
  const { rows } = drawer
  const searched = await search(tx, filter.q, drawer)
  const { stockUl, lastAt, columns } = await moving(tx, drawer, now)
  const chosen = Object.fromEntries(FACETS.map(([key]) => [key, picksOf(filter, key)]))
  const { matches, counts } = countFacets(rows.length, [...drawer.columns, ...columns], chosen, searched?.hits)
  const key: Readonly<Record<SortKey, ((i: number) => number) | undefined>> = {
    name: undefined,
    hue: (i) => rows[i]!.hueOrder,
    light: (i) => -rows[i]!.lab[0],
    used: (i) => -lastAt[i]!,
    amount: (i) => -stockUl[i]!,
    price: (i) => rows[i]!.perMl ?? Number.MAX_VALUE,
  }
  const sorted = order(matches, rows.length, key[filter.sort], searched?.near ? searched.hits : undefined)
  return {
    total: sorted.length,
    rows: sorted.slice(filter.from, filter.from + chunk).map((i) => drawerRow(rows[i]!, stockUl[i]!)),
    counts: counts as Found['counts'],
    near: searched?.near ?? false,
  }
}

/**
 * Rows arrive by maker, line and name, and sorting is stable: that order breaks every tie.
 * @param hits of a near search, 2 where the likeliest words were found: those go before any other
 */
function order(
  matches: readonly number[],
  rows: number,
  by: ((i: number) => number) | undefined,
  hits: Uint8Array | undefined,
): readonly number[] {
  if (!by && !hits) return matches
  const keys = new Float64Array(rows)
  if (by) for (const i of matches) keys[i] = by(i)
  return [...matches].sort((a, b) => (hits ? hits[b]! - hits[a]! : 0) || keys[a]! - keys[b]!)
}

const isLow = (stockUl: number, lowUl: number | null) => stockUl !== NOT_COUNTED && lowUl !== null && stockUl < lowUl

const STOCK = { none: ['not counted'], empty: ['used up'], low: ['in stock', 'low'], some: ['in stock'] }

function stockWords(stockUl: number, lowUl: number | null): readonly string[] {
  if (stockUl === NOT_COUNTED) return STOCK.none
  if (stockUl === 0) return STOCK.empty
  return isLow(stockUl, lowUl) ? STOCK.low : STOCK.some
}

const drawerRow = (m: DrawerPaint, stockUl: number): DrawerRow => ({
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
  onHandUl: stockUl === NOT_COUNTED ? null : stockUl,
  low: isLow(stockUl, m.lowUl),
})
