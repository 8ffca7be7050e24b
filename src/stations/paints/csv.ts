import Papa from 'papaparse'
import { ValidationError } from 'yup'
import { FikaError, Invalid } from '@/core/errors'
import {
  DEFAULTS_BY_BODY,
  DEFAULTS_BY_MEDIUM,
  parsePigments,
  type Body,
  type MediumKind,
} from '@/core/paint/properties'
import { parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseVolumeUl } from '@/core/quantity/parse'
import type { MaterialRow } from './queries'
import { mediumSchema, paintSchema, type MaterialInput } from './schema'

/** Columns of the exchange file, in order. Only `name` must be there; the rest have defaults. */
export const COLUMNS = [
  'kind',
  'maker',
  'line',
  'name',
  'medium_kind',
  'pigments',
  'body',
  'opacity',
  'sheen',
  'strength',
  'swatch',
  'density_g_per_ml',
  'solids',
  'water_share',
  'container',
  'price',
  'avoid_as',
  'notes',
] as const
type Column = (typeof COLUMNS)[number]

/** Largest file read, in characters, and most rows in it. */
export const LIMITS = { characters: 2_000_000, rows: 5_000 } as const

export interface CsvRow {
  /** Line in the file, the heading being 1. */
  readonly line: number
  readonly name: string
  readonly material?: MaterialInput
  /** Why it cannot be imported. */
  readonly why?: string
}

/** A spreadsheet runs cells that begin like a formula: they are written behind an apostrophe, and read back without. */
const guard = (cell: string) => (/^[=+\-@\t\r']/.test(cell) ? `'${cell}` : cell)
const unguard = (cell: string) => (/^'[=+\-@\t\r']/.test(cell) ? cell.slice(1) : cell)

/** Writes materials as CSV that `readCsv` reads back unchanged. */
export function writeCsv(rows: readonly MaterialRow[]): string {
  const ml = (ul: number | null) => (ul === null ? '' : `${ul / 1000} ml`)
  const cells = rows.map((m): Record<Column, string> => ({
    kind: m.kind,
    maker: m.maker,
    line: m.line,
    name: m.name,
    medium_kind: m.mediumKind ?? '',
    pigments: m.pigments.join(' '),
    body: m.body ?? '',
    opacity: m.opacity ?? '',
    sheen: m.sheen ?? '',
    strength: m.strength ?? '',
    swatch: m.swatchHex ?? '',
    density_g_per_ml: String(m.densityGPerMl),
    solids: String(m.solids),
    water_share: m.kind === 'paint' ? '' : String(m.waterShare),
    container: ml(m.containerUl),
    price: m.priceMinor === null ? '' : (m.priceMinor / 100).toFixed(2),
    avoid_as: m.avoid.map((a) => (a.reason ? `${a.role}: ${a.reason.replaceAll(';', ',')}` : a.role)).join('; '),
    notes: m.notes,
  }))
  const data = cells.map((c) => COLUMNS.map((k) => guard(c[k])))
  return Papa.unparse({ fields: [...COLUMNS], data }, { newline: '\r\n' })
}

/**
 * Reads a CSV file, comma or semicolon, decimal point or comma. Each row comes back with a material, or with why not.
 * @throws Invalid when the file as a whole cannot be read
 */
export function readCsv(text: string): CsvRow[] {
  if (text.length > LIMITS.characters)
    throw new Invalid('This file is larger than 2 MB. Split it, and import the parts.', 'file')
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) =>
      h
        .trim()
        .toLowerCase()
        .replace(/[\s-]+/g, '_'),
  })
  const fields = parsed.meta.fields ?? []
  if (!fields.includes('name'))
    throw new Invalid(
      `The first line must name the columns, and one of them must be “name”. Columns Fika reads: ${COLUMNS.join(', ')}.`,
      'file',
    )
  if (parsed.data.length > LIMITS.rows)
    throw new Invalid(`This file has more than ${LIMITS.rows} rows. Split it, and import the parts.`, 'file')
  const seen = new Map<string, number>()
  return parsed.data.map((record, i) => {
    const line = i + 2
    const cell = (c: Column) => unguard((record[c] ?? '').trim())
    const name = cell('name')
    try {
      const material = readRow(cell)
      const key = [material.kind, material.maker, material.line, material.name]
        .map((s) => s.trim().toLowerCase())
        .join('\u0000')
      const before = seen.get(key)
      if (before) throw new Invalid(`The same paint is on line ${before} already. Remove one of the two.`)
      seen.set(key, line)
      return { line, name, material }
    } catch (error) {
      if (error instanceof FikaError || error instanceof ValidationError) return { line, name, why: error.message }
      throw error
    }
  })
}

function readRow(cell: (c: Column) => string): MaterialInput {
  const kind = cell('kind') || 'paint'
  const number = (c: Column, fallback: number) => {
    const text = cell(c)
    if (!text) return fallback
    const value = parseNumber(text)
    if (value === undefined) throw new Invalid(`“${text}” in ${c} is not a number. Type it like 1.2.`)
    return value
  }
  const shared = {
    maker: cell('maker'),
    line: cell('line'),
    name: cell('name'),
    containerUl: cell('container') ? parseVolumeUl(cell('container')) : null,
    priceMinor: cell('price') ? parseMoneyMinor(cell('price')) : null,
    notes: cell('notes'),
  }
  if (kind === 'medium' || kind === 'additive') {
    const mediumKind = (cell('medium_kind') || 'pouring medium') as MediumKind
    const usual = DEFAULTS_BY_MEDIUM[mediumKind] ?? DEFAULTS_BY_MEDIUM['pouring medium']
    return mediumSchema.validateSync({
      ...shared,
      kind,
      mediumKind,
      densityGPerMl: number('density_g_per_ml', usual.densityGPerMl),
      solids: number('solids', usual.solids),
      waterShare: number('water_share', usual.waterShare),
    })
  }
  if (kind !== 'paint') throw new Invalid(`“${kind}” in kind is unknown. Use paint, medium or additive.`)
  const body = (cell('body') || 'soft') as Body
  const usual = DEFAULTS_BY_BODY[body] ?? DEFAULTS_BY_BODY.soft
  return paintSchema.validateSync({
    ...shared,
    kind,
    body,
    opacity: cell('opacity') || 'semi-opaque',
    sheen: cell('sheen') || 'satin',
    strength: cell('strength') || 'normal',
    pigments: parsePigments(cell('pigments')),
    swatchHex: cell('swatch') || undefined,
    densityGPerMl: number('density_g_per_ml', usual.densityGPerMl),
    solids: number('solids', usual.solids),
    avoid: cell('avoid_as')
      .split(';')
      .map((t) => t.trim())
      .filter(Boolean)
      .map((t) => {
        const [role = '', ...reason] = t.split(':')
        return { role: role.trim(), reason: reason.join(':').trim() }
      }),
  })
}
