import { ValidationError } from 'yup'
import { FikaError, Invalid } from '@/core/errors'
import type { MaterialInput } from '@/db/materials/schema'
import { cellsOf, COLUMNS, readCells, type Cells, type Column, type Mapping } from '@/exchange/fields'

/** A list as it came: headings and cells of text, whatever the file was. */
export interface Table {
  readonly headings: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** A file as it was read: a list to be mapped, or a catalogue of ours that needs no mapping. */
export type ReadFile =
  { readonly kind: 'table'; readonly table: Table } | { readonly kind: 'catalogue'; readonly text: string }

/** Largest file read, in bytes; most rows and columns in it; longest cell. */
export const LIMITS = { bytes: 8_000_000, rows: 10_000, columns: 200, cell: 20_000 } as const

export interface HereAlready {
  readonly id: string
  readonly revision: number
  readonly input: MaterialInput
}

export interface ReadRow {
  /** Line in the file, the heading being 1. */
  readonly line: number
  readonly name: string
  readonly state: 'new' | 'changed' | 'same' | 'bad'
  /** Why it cannot be imported, or what it would change. */
  readonly why: string
  readonly material?: MaterialInput
  readonly known?: HereAlready
}

/** What makes two rows the same material. */
export const keyOf = (m: Pick<MaterialInput, 'kind' | 'maker' | 'line' | 'name'>) =>
  [m.kind, m.maker, m.line, m.name].map((s) => s.trim().toLowerCase()).join('\u0000')

export const knownByKey = (known: readonly HereAlready[]) => new Map(known.map((k) => [keyOf(k.input), k]))

const LINKS = 'links to other paints, spectra' as const

/** Columns in which two inputs differ, and links to other paints, which no column holds. */
export function differences(a: MaterialInput, b: MaterialInput): (Column | typeof LINKS)[] {
  const [one, two] = [cellsOf(a), cellsOf(b)]
  const links = linksOf(a) === linksOf(b) ? [] : [LINKS]
  return [...COLUMNS.filter((c) => one[c] !== two[c]), ...links]
}

/** What no column holds: links by the ids of other paints, and spectra as read. */
const linksOf = (m: MaterialInput) =>
  m.kind === 'paint'
    ? JSON.stringify([
        [...m.substitutes].sort(),
        m.standIn.map((s) => [s.paintId, s.parts]).sort(),
        m.readings,
        m.paintedWith,
      ])
    : ''

/** What stands in a column of a material, or how many paints it is linked to. */
export function shownIn(m: MaterialInput, column: Column | typeof LINKS): string {
  if (column !== LINKS) return cellsOf(m)[column]
  const count = m.kind === 'paint' ? m.substitutes.length + m.standIn.length : 0
  return count ? `${count} ${count === 1 ? 'paint' : 'paints'}` : ''
}

/**
 * Reads a list row by row: what is new, what it would change of what is here, and what cannot be imported and why.
 * @throws Invalid when the list as a whole cannot be read
 */
export function readTable(table: Table, mapping: Mapping, known: ReadonlyMap<string, HereAlready>): ReadRow[] {
  const columns = table.headings.map((h) => mapping[h] ?? '')
  if (!columns.includes('name'))
    throw new Invalid('No column is the name yet. Choose which column names the paint.', 'mapping')
  const seen = new Map<string, number>()
  return table.rows.map((row, i) => {
    const line = i + 2
    const cells: Partial<Record<Column, string>> = {}
    columns.forEach((c, k) => {
      if (c) cells[c] = row[k] ?? ''
    })
    return readRow(line, cells, known, seen)
  })
}

/** What bringing a material in would do to the one that is here, if there is one. */
export function compared(line: number, material: MaterialInput, known: HereAlready | undefined): ReadRow {
  const row = { line, name: material.name, material }
  if (!known) return { ...row, state: 'new', why: '' }
  const changes = differences(known.input, material).map((c) => c.replaceAll('_', ' '))
  if (changes.length === 0) return { ...row, state: 'same', why: 'In the drawer already, just so.', known }
  return { ...row, state: 'changed', why: `changes ${changes.join(', ')}`, known }
}

function readRow(
  line: number,
  cells: Cells,
  known: ReadonlyMap<string, HereAlready>,
  seen: Map<string, number>,
): ReadRow {
  const name = (cells.name ?? '').trim().slice(0, 120)
  try {
    if (Object.values(cells).some((c) => c.length > LIMITS.cell))
      throw new Invalid('A cell of this row is longer than 20,000 characters. Shorten it.')
    const key = keyOf({
      kind: ((cells.kind ?? '').trim().toLowerCase() || 'paint') as 'paint',
      maker: cells.maker ?? '',
      line: cells.line ?? '',
      name,
    })
    const here = known.get(key)
    const material = readCells(cells, here?.input)
    const before = seen.get(key)
    if (before) throw new Invalid(`The same paint is on line ${before} already. Remove one of the two.`)
    seen.set(key, line)
    return compared(line, material, here)
  } catch (error) {
    if (error instanceof FikaError || error instanceof ValidationError)
      return { line, name, state: 'bad', why: error.message }
    throw error
  }
}

/** A column the importer leaves out: why a row could not be read. */
export const WHY_COLUMN = 'what_is_wrong'
