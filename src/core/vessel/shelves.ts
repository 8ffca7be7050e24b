import { hexToLab } from '../colour/lab'
import { HUE_FAMILIES, hueFamily } from '../colour/hueFamily'
import { bandOf, START_BANDS, type Band } from '../consistency/levelTime'
import { SHIPPED, type TechniqueBook } from '../technique/techniques'

/** How the shelves of the rack are made up. */
export const GROUPINGS = ['none', 'palette', 'colour', 'age', 'consistency', 'technique'] as const
export type Grouping = (typeof GROUPINGS)[number]

export interface Shelved {
  readonly palette: string
  readonly hex: string | null
  /** ms since 1970 */
  readonly mixedAt: number
  readonly levelTimeS: number | null
  readonly technique: string | null
}

const DAY = 86_400_000
const AGES: readonly (readonly [number, string])[] = [
  [2, 'Since yesterday'],
  [7, 'This week'],
  [31, 'This month'],
  [92, 'One to three months'],
  [275, 'Three to nine months'],
  [Infinity, 'Older'],
]

/** The shelf a bottle stands on, and where that shelf is in the rack. */
export function shelfOf(
  b: Shelved,
  by: Grouping,
  now: number,
  bands: readonly Band[] = START_BANDS,
  techniques: TechniqueBook = SHIPPED,
): { name: string; order: number } {
  if (by === 'palette') return b.palette ? { name: b.palette, order: 0 } : { name: 'No palette', order: 1 }
  if (by === 'colour') {
    if (!b.hex) return { name: 'Clear', order: 99 }
    const family = hueFamily(hexToLab(b.hex))
    return { name: family[0]!.toUpperCase() + family.slice(1), order: HUE_FAMILIES.indexOf(family) }
  }
  if (by === 'age') {
    const order = AGES.findIndex(([days]) => now - b.mixedAt < days * DAY)
    return { name: AGES[order < 0 ? AGES.length - 1 : order]![1], order }
  }
  if (by === 'consistency') {
    if (b.levelTimeS === null) return { name: 'Not read yet', order: bands.length }
    const band = bandOf(b.levelTimeS, bands)
    return { name: band.name[0]!.toUpperCase() + band.name.slice(1), order: bands.indexOf(band) }
  }
  if (by === 'technique') {
    const meant = b.technique === null ? undefined : techniques.find(b.technique)
    return meant ? { name: meant.name, order: techniques.order(meant.key) } : { name: 'For anything', order: Infinity }
  }
  return { name: '', order: 0 }
}

export interface ShelfRow<B> {
  readonly name: string
  readonly bottles: readonly B[]
}

/** Bottles on their shelves; within a shelf they keep the order they came in. */
export function shelves<B>(
  bottles: readonly B[],
  facts: (b: B) => Shelved,
  by: Grouping,
  now: number,
  bands?: readonly Band[],
  techniques: TechniqueBook = SHIPPED,
): ShelfRow<B>[] {
  const found = new Map<string, { name: string; order: number; bottles: B[] }>()
  for (const b of bottles) {
    const { name, order } = shelfOf(facts(b), by, now, bands, techniques)
    const shelf = found.get(name)
    if (shelf) shelf.bottles.push(b)
    else found.set(name, { name, order, bottles: [b] })
  }
  return [...found.values()].sort((a, b) => a.order - b.order || a.name.localeCompare(b.name))
}
