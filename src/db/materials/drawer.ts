import { hexToLab } from '@/core/colour/lab'
import type { Triple } from '@/core/colour/srgb'
import { facetColumn, type FacetColumn } from '@/core/paint/facets'
import { searchText } from '@/core/paint/fold'
import { hueFamily, hueOrder } from '@/core/colour/hueFamily'
import { lightfastnessOf } from '@/core/paint/pigments'
import { pouringWords } from '@/core/paint/pouring'
import { perMl } from '@/core/purchase/cost'
import type { Tx } from '../base/withStudio'
import { allMaterials, type PaintRow } from './read'

/** A paint as the drawer finds it, with what can be said of it once and for all. */
export interface DrawerPaint extends PaintRow {
  readonly lab: Triple
  readonly hueOrder: number
  /** Minor units per ml at its price; null where none is known. */
  readonly perMl: number | null
}

/** The paints of a studio, in the drawer or put away, with the facets that stock and use do not move. */
export interface Drawer {
  readonly rows: readonly DrawerPaint[]
  readonly index: ReadonlyMap<string, number>
  /** What typed search looks through: a line a row, so that one pass finds a word in all of them. */
  readonly text: string
  /** Where each row's line begins in `text`, and where the last one ends. */
  readonly lines: Int32Array
  readonly columns: readonly FacetColumn[]
}

interface Catalogue {
  readonly version: number
  readonly drawer: Drawer
  readonly putAway: Drawer
}

/** Catalogues by studio, the most recently used last. The database counts each change, so an old one is noticed. */
const known = new Map<string, Catalogue>()
const MOST_KNOWN = 20

/** The paints of a studio, from memory where the catalogue has not changed since. */
export async function drawerOf(tx: Tx, archived: boolean): Promise<Drawer> {
  const [row] = await tx.q<{ n: number }>(
    'select n from catalogue_version where studio_id = $1',
    [tx.studioId],
    'catalogue_version',
  )
  const version = row?.n ?? 0
  let catalogue = known.get(tx.studioId)
  if (catalogue?.version !== version) {
    // Read after the version: rows may be newer than it, never older, and a newer version is then read again.
    const paints = (await allMaterials(tx)).filter((m) => m.kind === 'paint').map(describe)
    catalogue = {
      version,
      drawer: drawer(paints.filter((p) => !p.archived)),
      putAway: drawer(paints.filter((p) => p.archived)),
    }
  }
  const read = catalogue
  // A transaction that is rolled back takes what it wrote, and its version, along: nothing of it may be remembered.
  tx.afterCommit(() => {
    known.delete(tx.studioId)
    known.set(tx.studioId, read)
    if (known.size > MOST_KNOWN) known.delete(known.keys().next().value!)
  })
  return archived ? catalogue.putAway : catalogue.drawer
}

function describe(m: PaintRow): DrawerPaint {
  const lab = hexToLab(m.swatchHex)
  return {
    ...m,
    lab,
    hueOrder: hueOrder(lab),
    perMl: m.priceMinor !== null && m.containerUl ? perMl(m.priceMinor, m.containerUl) : null,
  }
}

function drawer(rows: readonly DrawerPaint[]): Drawer {
  const texts = rows.map(searchText)
  const lines = new Int32Array(rows.length + 1)
  texts.forEach((t, i) => (lines[i + 1] = lines[i]! + t.length + 1))
  const column = (key: string, of: (m: DrawerPaint) => readonly string[]) =>
    facetColumn(key, rows.length, (i) => of(rows[i]!))
  return {
    rows,
    index: new Map(rows.map((r, i) => [r.id, i])),
    text: texts.map((t) => `${t}\n`).join(''),
    lines,
    columns: [
      column('maker', (m) => [m.maker]),
      column('line', (m) => [m.line]),
      column('hue', (m) => [hueFamily(m.lab)]),
      column('body', (m) => [m.body]),
      column('opacity', (m) => [m.opacity]),
      column('sheen', (m) => [m.sheen]),
      column('pigment', (m) => m.pigments),
      column('price', (m) => [priceBand(m.perMl)]),
      column('light', (m) => [m.lightfastness || lightfastnessOf(m.pigments) || 'not known']),
      column('pours', (m) => pouringWords(m)),
      column('tag', (m) => m.tags),
    ],
  }
}

/** Bounds of the price bands, minor units per ml. */
const BANDS = [5, 10, 20] as const

/** The price band of a paint, in whole currency per ml. */
export function priceBand(perMlMinor: number | null): string {
  if (perMlMinor === null) return 'no price'
  const words = (n: number) => (n / 100).toFixed(2)
  const at = BANDS.findIndex((b) => perMlMinor < b)
  if (at === 0) return `below ${words(BANDS[0])}`
  return at < 0 ? `from ${words(BANDS.at(-1)!)}` : `${words(BANDS[at - 1]!)} to ${words(BANDS[at]!)}`
}
