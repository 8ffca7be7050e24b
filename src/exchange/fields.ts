import type { FlagRule } from '@/core/paint/flags'
import { parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseVolumeUl } from '@/core/quantity/parse'
import { Invalid } from '@/core/errors'
import { THINNER_FACTS, THINNERS, type Thinner } from '@/core/mix/thinners'
import { fold } from '@/core/paint/fold'
import {
  DEFAULTS_BY_BODY,
  DEFAULTS_BY_MEDIUM,
  parsePigments,
  type Body,
  type MediumKind,
} from '@/core/paint/properties'
import { readBody, readOpacity, readSheen, readStrength } from '@/core/paint/words'
import { schemaOf, type MaterialInput } from '@/db/materials/schema'

/** Columns of a list, in the order they are written. Only `name` must be there; the rest have defaults. */
// prettier-ignore
export const COLUMNS = [
  'kind', 'maker', 'line', 'name', 'medium_kind', 'thinner', 'pigments', 'body', 'opacity', 'contrast_ratio', 'sheen', 'sheen_strength',
  'strength', 'lightfastness', 'swatch', 'tint', 'tint_white_share', 'shade', 'shade_black_share', 'wet', 'density_g_per_ml', 'solids', 'water_share', 'effects',
  'container', 'price', 'low', 'supplier', 'barcode', 'tags', 'discontinued', 'avoid_as', 'only_as', 'notes',
] as const
export type Column = (typeof COLUMNS)[number]
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

const ml = (ul: number | null) => (ul === null ? '' : `${ul / 1000} ml`)
const flagText = (m: MaterialInput, rule: FlagRule) =>
  m.kind === 'paint'
    ? m.flags
        .filter((f) => f.rule === rule)
        .map((f) => (f.reason ? `${f.role}: ${f.reason.replaceAll(';', ',')}` : f.role))
        .join('; ')
    : ''
const orEmpty = (v: string | number | null | undefined) => (v === null || v === undefined ? '' : String(v))

/** A material as cells that `readCells` reads back. */
export function cellsOf(m: MaterialInput): Record<Column, string> {
  const p = m.kind === 'paint' ? m : undefined
  const medium = m.kind === 'medium' || m.kind === 'additive' ? m : undefined
  return {
    kind: m.kind,
    maker: m.maker,
    line: m.line,
    name: m.name,
    medium_kind: medium?.mediumKind ?? '',
    thinner: m.kind === 'water' ? m.thinner : '',
    pigments: p?.pigments.join(' ') ?? '',
    body: p?.body ?? '',
    opacity: p?.opacity ?? '',
    contrast_ratio: orEmpty(p?.contrastRatio),
    sheen: p?.sheen ?? '',
    sheen_strength: orEmpty(p?.sheenStrength),
    strength: p?.strength ?? '',
    lightfastness: p?.lightfastness ?? '',
    swatch: p?.swatchHex ?? '',
    tint: p?.tintHex ?? '',
    tint_white_share: orEmpty(p?.tintWhiteShare),
    shade: p?.shadeHex ?? '',
    shade_black_share: orEmpty(p?.shadeBlackShare),
    wet: p?.wetHex ?? '',
    density_g_per_ml: String(m.densityGPerMl),
    solids: String(m.solids),
    water_share: m.kind === 'paint' ? '' : String(m.waterShare),
    effects: medium?.effects?.join(' ') ?? '',
    container: ml(m.containerUl),
    price: m.priceMinor === null ? '' : (m.priceMinor / 100).toFixed(2),
    low: ml(m.lowUl),
    supplier: m.supplier,
    barcode: m.barcode,
    tags: m.tags.map((t) => t.replaceAll(';', ',')).join('; '),
    discontinued: m.discontinued ? 'yes' : '',
    avoid_as: flagText(m, 'avoid'),
    only_as: flagText(m, 'only'),
    notes: m.notes,
  }
}

/** A share as people write it: `0.38`, `0,38` or `38 %`. */
function share(text: string): number | undefined {
  const percent = /^(.*)%$/.exec(text.trim())
  const value = parseNumber(percent ? percent[1]!.trim() : text)
  return percent && value !== undefined ? value / 100 : value
}

/** `#1f7a8c`, `1F7A8C` or `rgb(31, 122, 140)` as `#1f7a8c`; anything else as it came, for the schema to refuse. */
function hexOf(text: string): string {
  const bare = /^#?([0-9a-f]{6})$/i.exec(text)
  if (bare) return `#${bare[1]!.toLowerCase()}`
  const rgb = /^(?:rgb\()?\s*(\d{1,3})[\s,;]+(\d{1,3})[\s,;]+(\d{1,3})\s*\)?$/i.exec(text)
  const parts = rgb?.slice(1).map(Number)
  return parts?.every((v) => v <= 255) ? `#${parts.map((v) => v.toString(16).padStart(2, '0')).join('')}` : text
}

const YES = new Set(['yes', 'y', 'true', '1', 'x', 'discontinued'])
const list = (text: string) =>
  text
    .split(/[;\n]/)
    .map((t) => t.trim())
    .filter(Boolean)

/**
 * Reads the cells of one row. An empty cell keeps what `base` has, or takes the default.
 * @param base the material of that maker, line and name as it is, where there is one
 * @throws Invalid or a ValidationError with what is wrong and what to write instead
 */
export function readCells(cells: Cells, base?: MaterialInput): MaterialInput {
  const cell = (c: Column) => (cells[c] ?? '').trim()
  const kind = cell('kind') ? fold(cell('kind')) : (base?.kind ?? 'paint')
  if (!['paint', 'medium', 'additive', 'water'].includes(kind))
    throw new Invalid(`“${cell('kind')}” in kind is unknown. Use paint, medium, additive or water.`)
  const old = base?.kind === kind ? (base as Readonly<Record<string, unknown>>) : {}
  const take = <T>(c: Column, field: string, read: (text: string) => T, fallback: T): T =>
    cell(c) ? read(cell(c)) : ((old[field] as T | undefined) ?? fallback)
  const number = (c: Column) => (text: string) => {
    const value = share(text.replace(/\s*g\s*\/\s*ml$/i, ''))
    if (value === undefined) throw new Invalid(`“${text}” in ${c} is not a number. Type it like 1.2.`)
    return value
  }
  const volume = (text: string) => parseVolumeUl(text.replace(/\.$/, ''))
  const text = (t: string) => t
  const usual = usualOf(kind, cells, old)
  const shared = {
    kind,
    maker: take('maker', 'maker', text, ''),
    line: take('line', 'line', text, ''),
    name: cell('name'),
    densityGPerMl: take('density_g_per_ml', 'densityGPerMl', number('density_g_per_ml'), usual.densityGPerMl),
    solids: take('solids', 'solids', number('solids'), usual.solids),
    containerUl: take<number | null>('container', 'containerUl', volume, null),
    priceMinor: take<number | null>('price', 'priceMinor', parseMoneyMinor, null),
    lowUl: take<number | null>('low', 'lowUl', volume, null),
    supplier: take('supplier', 'supplier', text, ''),
    barcode: take('barcode', 'barcode', text, ''),
    tags: take<string[]>('tags', 'tags', list, []),
    discontinued: take('discontinued', 'discontinued', (t) => YES.has(fold(t)), false),
    notes: take('notes', 'notes', text, ''),
  }
  if (kind === 'paint')
    return schemaOf(kind).validateSync({ ...shared, ...paintCells(cells, old, take) }) as MaterialInput
  const water = take('water_share', 'waterShare', number('water_share'), usual.waterShare)
  if (kind === 'water')
    return schemaOf(kind).validateSync({
      ...shared,
      waterShare: water,
      thinner: take('thinner', 'thinner', (t) => THINNERS.find((k) => fold(t).startsWith(k)) ?? t, 'distilled'),
    }) as MaterialInput
  const effects = (t: string) => t.split(/[\s,;]+/).map((v) => number('effects')(v))
  return schemaOf(kind).validateSync({
    ...shared,
    waterShare: water,
    mediumKind: take('medium_kind', 'mediumKind', fold, 'pouring medium'),
    effects: take<number[] | null>('effects', 'effects', effects, null),
  }) as MaterialInput
}

type Take = <T>(c: Column, field: string, read: (text: string) => T, fallback: T) => T

function paintCells(cells: Cells, old: Readonly<Record<string, unknown>>, take: Take) {
  const nullable = (c: Column, field: string) =>
    take<number | null>(
      c,
      field,
      (t) => {
        const value = share(t)
        if (value === undefined) throw new Invalid(`“${t}” in ${c} is not a number. Type it like 0.9.`)
        return value
      },
      null,
    )
  const oldFlags = (old.flags ?? []) as { role: string; rule: string; reason: string }[]
  const flags = (c: 'avoid_as' | 'only_as', rule: FlagRule) =>
    cells[c]?.trim()
      ? list(cells[c]).map((t) => {
          const [role = '', ...reason] = t.split(':')
          return { role: role.trim(), rule, reason: reason.join(':').trim() }
        })
      : oldFlags.filter((f) => f.rule === rule)
  return {
    body: take<string>('body', 'body', (t) => readBody(t) ?? t, 'soft'),
    opacity: take<string>('opacity', 'opacity', (t) => readOpacity(t) ?? t, 'semi-opaque'),
    contrastRatio: nullable('contrast_ratio', 'contrastRatio'),
    sheen: take<string>('sheen', 'sheen', (t) => readSheen(t) ?? t, 'satin'),
    sheenStrength: take('sheen_strength', 'sheenStrength', Number, 2),
    strength: take<string>('strength', 'strength', (t) => readStrength(t) ?? t, 'normal'),
    lightfastness: take('lightfastness', 'lightfastness', (t) => t.toUpperCase().replace(/^ASTM\s*/, ''), ''),
    pigments: take<string[]>('pigments', 'pigments', parsePigments, []),
    swatchHex: take<string | undefined>('swatch', 'swatchHex', hexOf, undefined),
    tintHex: take<string | null>('tint', 'tintHex', hexOf, null),
    tintWhiteShare: nullable('tint_white_share', 'tintWhiteShare'),
    shadeHex: take<string | null>('shade', 'shadeHex', hexOf, null),
    shadeBlackShare: nullable('shade_black_share', 'shadeBlackShare'),
    wetHex: take<string | null>('wet', 'wetHex', hexOf, null),
    readings: old.readings,
    flags: [...flags('avoid_as', 'avoid'), ...flags('only_as', 'only')],
    substitutes: old.substitutes ?? [],
    standIn: old.standIn ?? [],
  }
}

function usualOf(kind: string, cells: Cells, old: Readonly<Record<string, unknown>>) {
  if (kind === 'water') {
    const thinner = (cells.thinner?.trim() || old.thinner || 'distilled') as Thinner
    return THINNER_FACTS[thinner] ?? THINNER_FACTS.distilled
  }
  if (kind === 'paint') {
    const body = readBody(cells.body ?? '') ?? (old.body as Body | undefined) ?? 'soft'
    return { ...DEFAULTS_BY_BODY[body], waterShare: 0 }
  }
  const medium = (fold(cells.medium_kind ?? '') || old.mediumKind || 'pouring medium') as MediumKind
  return DEFAULTS_BY_MEDIUM[medium] ?? DEFAULTS_BY_MEDIUM['pouring medium']
}
