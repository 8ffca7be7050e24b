import { Invalid } from '@/core/errors'
import { THINNER_FACTS, type Thinner } from '@/core/mix/thinners'
import type { FlagRule } from '@/core/paint/flags'
import { fold } from '@/core/paint/fold'
import {
  DEFAULTS_BY_BODY,
  DEFAULTS_BY_MEDIUM,
  MATERIAL_KINDS,
  type Body,
  type MaterialKind,
  type MediumKind,
} from '@/core/paint/properties'
import { EVERY_FIELD, FIELDS, fieldsOf, wordsIn, type FieldCell } from '@/db/materials/fields'
import { schemaOf, type MaterialInput } from '@/db/materials/schema'

/** A column of a list: a plain field, the kind, or flags in words. Only `name` must be there; the rest have defaults. */
export type Column = FieldCell | 'kind' | 'avoid_as' | 'only_as'
/** Columns in the order they are written; notes, which may be long, come last. */
export const COLUMNS: readonly Column[] = [
  'kind',
  ...EVERY_FIELD.map(([, f]) => f.cell as FieldCell).filter((c) => c !== 'notes'),
  'avoid_as',
  'only_as',
  'notes',
]
export type Cells = Readonly<Partial<Record<Column, string>>>
/** Our column for each heading of a list, or '' to leave it out. */
export type Mapping = Readonly<Record<string, Column | ''>>

/** Headings other lists use, folded, without signs. Common practice, no published source. */
// prettier-ignore
const HEADINGS: Readonly<Record<string, Column>> = {
  brand: 'maker', manufacturer: 'maker', make: 'maker', range: 'line', series: 'line', 'product line': 'line', colour: 'name', color: 'name',
  'colour name': 'name', 'color name': 'name', title: 'name', paint: 'name', pigment: 'pigments', 'ci name': 'pigments', 'colour index': 'pigments',
  'color index': 'pigments', viscosity: 'body', consistency: 'body', transparency: 'opacity', coverage: 'opacity', finish: 'sheen', gloss: 'sheen',
  'tinting strength': 'strength', lightfast: 'lightfastness', hex: 'swatch', 'swatch hex': 'swatch', 'colour hex': 'swatch', rgb: 'swatch', masstone: 'swatch',
  density: 'density_g_per_ml', 'specific gravity': 'density_g_per_ml', 'volume solids': 'solids', size: 'container', volume: 'container', contents: 'container',
  'container size': 'container', cost: 'price', 'price paid': 'price', 'low stock': 'low', shop: 'supplier', vendor: 'supplier', ean: 'barcode', upc: 'barcode',
  tag: 'tags', labels: 'tags', comment: 'notes', comments: 'notes', remarks: 'notes', note: 'notes', avoid: 'avoid_as', 'good only as': 'only_as',
}

const plain = (heading: string) =>
  fold(heading)
    .replace(/[^a-z0-9]+/g, ' ')
    .trim()

/** Guesses our column for each heading; each of ours is used once, the first heading that fits. */
export function guessMapping(headings: readonly string[]): Mapping {
  const taken = new Set<Column>()
  const out: Record<string, Column | ''> = {}
  for (const heading of headings) {
    const word = plain(heading)
    const column = COLUMNS.find((c) => c.replaceAll('_', ' ') === word) ?? HEADINGS[word]
    out[heading] = column && !taken.has(column) ? column : ''
    if (column) taken.add(column)
  }
  return out
}

const flagText = (m: MaterialInput, rule: FlagRule) =>
  m.kind === 'paint'
    ? m.flags
        .filter((f) => f.rule === rule)
        .map((f) => (f.reason ? `${f.role}: ${f.reason.replaceAll(';', ',')}` : f.role))
        .join('; ')
    : ''

/** A material as cells that `readCells` reads back. */
export function cellsOf(m: MaterialInput): Record<Column, string> {
  const cells = Object.fromEntries(COLUMNS.map((c) => [c, ''])) as Record<Column, string>
  const values = m as unknown as Readonly<Record<string, unknown>>
  for (const [name, f] of fieldsOf(m.kind)) {
    const value = values[name]
    cells[f.cell as FieldCell] = value === null || value === undefined ? '' : f.toCell(value)
  }
  return { ...cells, kind: m.kind, avoid_as: flagText(m, 'avoid'), only_as: flagText(m, 'only') }
}

/**
 * Reads the cells of one row. An empty cell keeps what `base` has, or takes the default.
 * @param base the material of that maker, line and name as it is, where there is one
 * @throws Invalid or a ValidationError with what is wrong and what to write instead
 */
export function readCells(cells: Cells, base?: MaterialInput): MaterialInput {
  const cell = (c: Column) => (cells[c] ?? '').trim()
  const kind = (cell('kind') ? fold(cell('kind')) : (base?.kind ?? 'paint')) as MaterialKind
  if (!MATERIAL_KINDS.includes(kind))
    throw new Invalid(`“${cell('kind')}” in kind is unknown. Use paint, medium, additive or water.`)
  const old = base?.kind === kind ? (base as unknown as Readonly<Record<string, unknown>>) : {}
  const usual: Readonly<Record<string, unknown>> = { ...usualOf(kind, cells, old) }
  const values: Record<string, unknown> = { kind }
  for (const [name, f] of fieldsOf(kind)) {
    const text = cell(f.cell as FieldCell)
    // A name is what finds the row, so that an empty one is no name and not the old one.
    values[name] = text || name === 'name' ? f.fromCell(text, f.cell) : (old[name] ?? usual[name] ?? f.usual)
  }
  if (kind === 'paint') Object.assign(values, hanging(cells, old))
  return schemaOf(kind).validateSync(values) as MaterialInput
}

/** What no plain field holds: flags in words, and the links a list says nothing of. */
function hanging(cells: Cells, old: Readonly<Record<string, unknown>>) {
  const oldFlags = (old.flags ?? []) as { role: string; rule: string; reason: string }[]
  const flags = (c: 'avoid_as' | 'only_as', rule: FlagRule) =>
    cells[c]?.trim()
      ? wordsIn(cells[c]).map((t) => {
          const [role = '', ...reason] = t.split(':')
          return { role: role.trim(), rule, reason: reason.join(':').trim() }
        })
      : oldFlags.filter((f) => f.rule === rule)
  return {
    readings: old.readings,
    flags: [...flags('avoid_as', 'avoid'), ...flags('only_as', 'only')],
    paintedWith: old.paintedWith,
    substitutes: old.substitutes ?? [],
    standIn: old.standIn ?? [],
  }
}

/** Density, solids and water where nothing is said: by body or kind, as the row or the material of old has it. */
function usualOf(kind: MaterialKind, cells: Cells, old: Readonly<Record<string, unknown>>) {
  const said = (name: 'body' | 'mediumKind' | 'thinner') => {
    const { cell, fromCell, usual } = FIELDS[name]
    const text = cells[cell]?.trim()
    return text ? fromCell(text, cell) : (old[name] ?? usual)
  }
  if (kind === 'water') return THINNER_FACTS[said('thinner') as Thinner] ?? THINNER_FACTS.distilled
  if (kind === 'paint') return DEFAULTS_BY_BODY[said('body') as Body] ?? DEFAULTS_BY_BODY.soft
  return DEFAULTS_BY_MEDIUM[said('mediumKind') as MediumKind] ?? DEFAULTS_BY_MEDIUM['pouring medium']
}
