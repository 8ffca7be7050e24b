import { array, boolean, number, string, type AnySchema, type InferType } from 'yup'
import { EFFECTS } from '@/core/mix/mediumEffects'
import { THINNERS, type Thinner } from '@/core/mix/thinners'
import { volumeText } from '@/core/quantity/format'
import { fold } from '@/core/paint/fold'
import { CELL_HABITS, DRY_SHINES, GRADES, SHOWS_BENEATH } from '@/core/paint/pouring'
import { LIGHTFASTNESS, type Lightfastness } from '@/core/paint/pigments'
import {
  BODIES,
  isPigmentName,
  MATERIAL_KINDS,
  MEDIUM_KINDS,
  OPACITIES,
  parsePigments,
  SHEENS,
  STRENGTHS,
  type Body,
  type MaterialKind,
  type MediumKind,
  type Opacity,
  type Sheen,
  type Strength,
} from '@/core/paint/properties'
import { readBody, readOpacity, readSheen, readStrength } from '@/core/paint/words'
import { parseMoneyMinor } from '@/core/quantity/money'
import { numberIn } from '@/core/quantity/number'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'

/**
 * A plain field of a material, said once: where it stands in the database, what may stand in it, how a list and a form
 * write and read it, and its words. SQL, the schemas, the form, the history and the exchange all read this table.
 */
export interface Field<S extends AnySchema, K extends MaterialKind, C extends string, T> {
  /** Kinds of material that have it. */
  readonly of: readonly K[]
  readonly table: 'material' | 'paint' | 'medium'
  readonly column: string
  /** Type of the value in a `jsonb_to_recordset`. */
  readonly type: string
  /** What is read, where that is not the column; `@` is the table. */
  readonly read?: string
  /** What is written to a new row, and to one that is there, where that is not the value; `$` is the value. */
  readonly write?: string
  readonly change?: string
  /** What a row of a kind without it holds. */
  readonly absent?: null | 0
  readonly shape: S
  /** Its column in a list. */
  readonly cell: C
  readonly toCell: (value: NonNullable<InferType<S>>) => string
  /** Reads a cell. @throws Invalid */
  readonly fromCell: (text: string, cell: string) => unknown
  /** What a new material begins with where nothing is said; where that hangs on its body or kind: nothing. */
  readonly usual?: InferType<S>
  /** The field of a form, from the value or from nothing. */
  readonly show: (value: InferType<S> | undefined) => T
  /** Reads the field of a form; undefined where the usual one of its body or kind is meant. @throws Invalid */
  readonly typed: (field: T, units: UnitSystem) => unknown
  readonly label: string
  /** Set where the form needs no more than a line of text for it. */
  readonly line?: { readonly placeholder?: string }
}

const field = <S extends AnySchema, const K extends MaterialKind, const C extends string, T>(f: Field<S, K, C, T>) => f

const PAINT = ['paint'] as const
const MEDIUM = ['medium', 'additive'] as const
const WATER = ['water'] as const
const ALL = [...PAINT, ...MEDIUM, ...WATER] as const

const short = (what: string) => string().trim().max(120, `${what} is longer than 120 characters. Shorten it.`)
const hex = (what: string) =>
  string()
    .lowercase()
    .matches(/^#[0-9a-f]{6}$/, `${what} is a colour of six digits, like #1f7a8c.`)

export const volumeUl = (empty: string) =>
  number().integer().min(1, empty).max(3e9, 'That container is larger than any Fika can book. Check the size.')
export const priceMinor = () =>
  number().integer().min(0, 'A price cannot be below zero.').max(1e8, 'That price is too high to be one. Check it.')

const same = (text: string) => text
const orEmpty = (v: string | number | null | undefined) => (v === null || v === undefined ? '' : String(v))

/** Text as it is. */
const TEXT = { type: 'text', toCell: same, fromCell: same, show: (v: string | undefined) => v ?? '', typed: same }

/** A share as people write it: `0.38`, `0,38` or `38 %`; a density with or without its unit. */
function share(text: string, cell: string): number {
  const bare = text.replace(/\s*g\s*\/\s*ml$/i, '').trim()
  const percent = /^(.*)%$/.exec(bare)
  const value = numberIn(percent ? percent[1]!.trim() : bare, `“${text}” in ${cell} is not a number. Type it like 0.9.`)
  return percent ? value / 100 : value
}
/** A number typed; nothing typed is the value given. */
export const numberTyped =
  <Empty>(what: string, example: string, empty: Empty) =>
  (typed: string): number | Empty => {
    if (!typed.trim()) return empty
    return numberIn(typed, `“${typed.trim()}” is not a number for ${what}. Type it like ${example}.`)
  }
const NUMBER = { type: 'numeric', toCell: String, fromCell: share, show: orEmpty }

const ml = (ul: number | null | undefined) => (ul ? `${ul / 1000} ml` : '')
const VOLUME = {
  type: 'bigint',
  toCell: ml,
  fromCell: (text: string) => parseVolumeUl(text.replace(/\.$/, '')),
  show: volumeText,
  typed: (typed: string, units: UnitSystem) => (typed.trim() ? parseVolumeUl(typed, units) : null),
}

/** `#1f7a8c`, `1F7A8C` or `rgb(31, 122, 140)` as `#1f7a8c`; anything else as it came, for the schema to refuse. */
function hexOf(text: string): string {
  const bare = /^#?([0-9a-f]{6})$/i.exec(text)
  if (bare) return `#${bare[1]!.toLowerCase()}`
  const rgb = /^(?:rgb\()?\s*(\d{1,3})[\s,;]+(\d{1,3})[\s,;]+(\d{1,3})\s*\)?$/i.exec(text)
  const parts = rgb?.slice(1).map(Number)
  return parts?.every((v) => v <= 255) ? `#${parts.map((v) => v.toString(16).padStart(2, '0')).join('')}` : text
}
const COLOUR = {
  type: 'text',
  toCell: same,
  fromCell: hexOf,
  show: (v: string | null | undefined) => v ?? '',
  typed: (t: string) => t || null,
}

/** A word of a list, or another word for it. */
const choice = <W extends string>(usual: W, read: (text: string) => string | undefined) => ({
  type: 'text',
  toCell: same,
  fromCell: (text: string) => read(text) ?? text,
  usual,
  show: (v: W | undefined): W => v ?? usual,
  typed: (v: W) => v,
})

/** One word of a list or none. */
const choiceOf = <const W extends string>(list: readonly W[]) =>
  choice<'' | W>('', (t) => list.find((w) => w === fold(t)))
const maybe = <const W extends string>(what: string, list: readonly W[]) =>
  string()
    .oneOf(['', ...list], `${what} is one of: ${list.join(', ')}, or empty.`)
    .default('')

/** A list of words in one cell. */
export const wordsIn = (text: string) =>
  text
    .split(/[;\n]/)
    .map((t) => t.trim())
    .filter(Boolean)
const YES = new Set(['yes', 'y', 'true', '1', 'x', 'discontinued'])
const TEXTS = 'array(select jsonb_array_elements_text($))'

// prettier-ignore
export const FIELDS = {
  maker: field({ of: ALL, table: 'material', column: 'maker', cell: 'maker', label: 'Maker', ...TEXT,
    shape: short('The maker').default(''), usual: '' }),
  line: field({ of: ALL, table: 'material', column: 'line', cell: 'line', label: 'Line', ...TEXT,
    shape: short('The line').default(''), usual: '', line: {} }),
  name: field({ of: ALL, table: 'material', column: 'name', cell: 'name', label: 'Name', ...TEXT,
    shape: short('The name').required('Type a name.') }),
  mediumKind: field({ of: MEDIUM, table: 'medium', column: 'kind', cell: 'medium_kind', label: 'Kind', ...choice<MediumKind>('pouring medium', fold),
    shape: string().oneOf(MEDIUM_KINDS, `A medium is one of: ${MEDIUM_KINDS.join(', ')}.`).required('Choose what kind of medium it is.') }),
  thinner: field({ of: WATER, table: 'material', column: 'thinner', cell: 'thinner', label: 'Kind', absent: null,
    ...choice<Thinner>('distilled', (t) => THINNERS.find((k) => fold(t).startsWith(k))),
    shape: string().oneOf(THINNERS, `A thinner is one of: ${THINNERS.join(', ')}.`).required('Choose the kind of thinner.') }),
  pigments: field({ of: PAINT, table: 'paint', column: 'pigments', type: 'jsonb', write: TEXTS, cell: 'pigments', label: 'Pigments (Colour Index)',
    shape: array(string().required().test('pigment', ({ value }) => `“${value}” is not a Colour Index name. Write it like PB15:3 or PW6.`, (v) => isPigmentName(v)))
      .max(12, 'Twelve pigments are the most a paint can have here.').default([]),
    toCell: (v) => v.join(' '), fromCell: parsePigments, show: (v): string => v?.join(', ') ?? '', typed: parsePigments, usual: [], line: { placeholder: 'PB15:3, PW6' } }),
  body: field({ of: PAINT, table: 'paint', column: 'body', cell: 'body', label: 'Body', ...choice<Body>('soft', readBody),
    shape: string().oneOf(BODIES, `Body is one of: ${BODIES.join(', ')}.`).required('Choose the body.') }),
  opacity: field({ of: PAINT, table: 'paint', column: 'opacity', cell: 'opacity', label: 'Opacity', ...choice<Opacity>('semi-opaque', readOpacity),
    shape: string().oneOf(OPACITIES, `Opacity is one of: ${OPACITIES.join(', ')}.`).required('Choose the opacity.') }),
  // Measured; sets the opacity class where it is given.
  contrastRatio: field({ of: PAINT, table: 'paint', column: 'contrast_ratio', cell: 'contrast_ratio', label: 'Measured contrast ratio, sets the opacity', ...NUMBER,
    shape: number().typeError('Type the contrast ratio as a share, like 0.97.').min(0, 'A contrast ratio lies between 0 and 1.').max(1, 'A contrast ratio lies between 0 and 1.').nullable().default(null),
    typed: numberTyped('the contrast ratio', '0.97', null), usual: null, line: { placeholder: '0.97' } }),
  sheen: field({ of: PAINT, table: 'paint', column: 'sheen', cell: 'sheen', label: 'Sheen', ...choice<Sheen>('satin', readSheen),
    shape: string().oneOf(SHEENS, `Sheen is one of: ${SHEENS.join(', ')}.`).required('Choose the sheen.') }),
  sheenStrength: field({ of: PAINT, table: 'paint', column: 'sheen_strength', type: 'smallint', cell: 'sheen_strength', label: 'How strong the sheen',
    shape: number().oneOf([1, 2, 3], 'Sheen strength is 1 (faint), 2 (usual) or 3 (strong).').default(2),
    toCell: String, fromCell: Number, show: (v): number => v ?? 2, typed: (v) => v, usual: 2 }),
  strength: field({ of: PAINT, table: 'paint', column: 'strength', cell: 'strength', label: 'Strength in mixes', ...choice<Strength>('normal', readStrength),
    shape: string().oneOf(STRENGTHS, `Strength is one of: ${STRENGTHS.join(', ')}.`).default('normal') }),
  lightfastness: field({ of: PAINT, table: 'paint', column: 'lightfastness', cell: 'lightfastness', label: 'Lightfastness (ASTM)',
    ...choice<'' | Lightfastness>('', (t) => t.toUpperCase().replace(/^ASTM\s*/, '')),
    shape: string().oneOf(['', ...LIGHTFASTNESS], `Lightfastness is one of: ${LIGHTFASTNESS.join(', ')}, or empty.`).default('') }),
  cells: field({ of: PAINT, table: 'paint', column: 'cells', cell: 'cells', label: 'Cells in a pour', ...choiceOf(CELL_HABITS),
    shape: maybe('Cells', CELL_HABITS) }),
  dryShine: field({ of: PAINT, table: 'paint', column: 'dry_shine', cell: 'dry_shine', label: 'Dry shine', ...choiceOf(DRY_SHINES),
    shape: maybe('Dry shine', DRY_SHINES) }),
  showsBeneath: field({ of: PAINT, table: 'paint', column: 'shows_beneath', cell: 'shows_beneath', label: 'Shows the layers beneath', ...choiceOf(SHOWS_BENEATH),
    shape: maybe('Whether it shows the layers beneath', SHOWS_BENEATH) }),
  // Student and craft paint bear less water.
  grade: field({ of: PAINT, table: 'paint', column: 'grade', cell: 'grade', label: 'Grade, sets the water it bears', ...choiceOf(GRADES),
    shape: maybe('Grade', GRADES) }),
  swatchHex: field({ of: PAINT, table: 'paint', column: 'swatch_hex', cell: 'swatch', label: 'Masstone, dry', ...COLOUR,
    shape: hex('The swatch').required('Pick the swatch colour.'), show: (v): string => v ?? '#7a7a7a', typed: same }),
  tintHex: field({ of: PAINT, table: 'paint', column: 'tint_hex', cell: 'tint', label: 'Tint in white', ...COLOUR,
    shape: hex('The tint').nullable().default(null), usual: null }),
  // Share of white in the tint, by volume.
  tintWhiteShare: field({ of: PAINT, table: 'paint', column: 'tint_white_share', cell: 'tint_white_share', label: 'Share of white in it', ...NUMBER,
    shape: number().typeError('Type the share of white in the tint, like 0.9.').moreThan(0, 'A tint holds some white: its share lies between 0 and 1.').lessThan(1, 'A tint holds some paint: its share of white lies between 0 and 1.').nullable().default(null),
    typed: numberTyped('the share of white', '0.9', null), usual: null }),
  shadeHex: field({ of: PAINT, table: 'paint', column: 'shade_hex', cell: 'shade', label: 'Shade with black', ...COLOUR,
    shape: hex('The shade').nullable().default(null), usual: null }),
  // Share of black in the shade, by volume.
  shadeBlackShare: field({ of: PAINT, table: 'paint', column: 'shade_black_share', cell: 'shade_black_share', label: 'Share of black in it', ...NUMBER,
    shape: number().typeError('Type the share of black in the shade, like 0.2.').moreThan(0, 'A shade holds some black: its share lies between 0 and 1.').lessThan(1, 'A shade holds some paint: its share of black lies between 0 and 1.').nullable().default(null),
    typed: numberTyped('the share of black', '0.2', null), usual: null }),
  wetHex: field({ of: PAINT, table: 'paint', column: 'wet_hex', cell: 'wet', label: 'Wet', ...COLOUR,
    shape: hex('The wet colour').nullable().default(null), usual: null }),
  densityGPerMl: field({ of: ALL, table: 'material', column: 'density_g_per_ml', cell: 'density_g_per_ml', label: 'Density, g/ml', ...NUMBER,
    shape: number().typeError('Type the density in g/ml, like 1.2.').min(0.5, 'A density below 0.5 g/ml is lighter than any paint. Weigh a known volume again.').max(6, 'A density above 6 g/ml is heavier than any paint. Weigh a known volume again.').required('Type the density in g/ml, or leave the default of the body.'),
    typed: numberTyped('the density', '1.2', undefined) }),
  solids: field({ of: ALL, table: 'material', column: 'solids', cell: 'solids', label: 'Volume solids, 0 – 1', ...NUMBER,
    shape: number().typeError('Type the volume solids as a share, like 0.32.').min(0, 'Volume solids are a share between 0 and 1.').max(1, 'Volume solids are a share between 0 and 1.').required(),
    typed: numberTyped('the solids', '0.32', undefined) }),
  pigmentShare: field({ of: [...PAINT, ...MEDIUM], table: 'material', column: 'pigment_share', cell: 'pigment_share', label: 'Pigment in the solids, 0 – 1', absent: 0, ...NUMBER,
    shape: number().typeError('Type the share of pigment in the solids as a number, like 0.15.').min(0, 'The share of pigment is between 0 and 1.').max(1, 'The share of pigment is between 0 and 1.').default(0),
    typed: numberTyped('the share of pigment', '0.15', undefined) }),
  waterShare: field({ of: [...MEDIUM, ...WATER], table: 'material', column: 'water_share', cell: 'water_share', label: 'Water already in it, 0 – 1', absent: 0, ...NUMBER,
    shape: number().typeError('Type the water share as a number, like 0.4.').min(0, 'The water share is between 0 and 1.').max(1, 'The water share is between 0 and 1.').default(0),
    typed: numberTyped('the water share', '0.4', undefined) }),
  // Ten effects, 0–3; null: the usual ones of its kind.
  effects: field({ of: MEDIUM, table: 'medium', column: 'effects', type: 'jsonb', cell: 'effects', label: 'What it does',
    write: `case when jsonb_typeof($) = 'array' then array(select jsonb_array_elements_text($)::real) end`,
    shape: array(number().min(0, 'An effect lies between 0 and 3.').max(3, 'An effect lies between 0 and 3.').required())
      .length(EFFECTS.length, 'A profile has ten effects.').nullable().default(null),
    toCell: (v) => v.join(' '), fromCell: (text, cell) => text.split(/[\s,;]+/).map((v) => share(v, cell)), show: (v): number[] | null => v ?? null, typed: (v) => v, usual: null }),
  containerUl: field({ of: ALL, table: 'material', column: 'container_ul', cell: 'container', label: 'Container size', ...VOLUME,
    shape: volumeUl('A container holds more than nothing. Type its size, like 60 ml.').nullable().default(null), usual: null, line: { placeholder: '60 ml' } }),
  priceMinor: field({ of: ALL, table: 'material', column: 'price_minor', type: 'bigint', cell: 'price', label: 'List price of it',
    shape: priceMinor().nullable().default(null), toCell: (v) => (v / 100).toFixed(2), fromCell: parseMoneyMinor,
    show: (v): string => (v === null || v === undefined ? '' : (v / 100).toFixed(2)), typed: (t) => (t.trim() ? parseMoneyMinor(t) : null), usual: null, line: { placeholder: '9.90' } }),
  lowUl: field({ of: ALL, table: 'material', column: 'low_ul', cell: 'low', label: 'Low when less is left', ...VOLUME,
    shape: volumeUl('The low line lies above nothing. Type it like 30 ml, or leave it empty.').nullable().default(null), usual: null, line: { placeholder: '30 ml' } }),
  supplier: field({ of: ALL, table: 'material', column: 'supplier', cell: 'supplier', label: 'Supplier', ...TEXT,
    shape: short('The supplier').default(''), usual: '', line: {} }),
  barcode: field({ of: ALL, table: 'material', column: 'barcode', cell: 'barcode', label: 'Barcode', ...TEXT,
    shape: string().trim().max(60, 'The barcode is longer than 60 characters. Check it.').default(''), usual: '', line: {} }),
  tags: field({ of: ALL, table: 'material', column: 'tags', type: 'jsonb', write: TEXTS, cell: 'tags', label: 'Tags',
    shape: array(short('A tag').required()).max(20, 'Twenty tags are the most a paint can have here.').default([]),
    toCell: (v) => v.map((t) => t.replaceAll(';', ',')).join('; '), fromCell: wordsIn, show: (v): string[] => [...(v ?? [])], typed: (v) => v, usual: [] }),
  discontinued: field({ of: ALL, table: 'material', column: 'discontinued_at', type: 'boolean', read: '@.discontinued_at is not null',
    write: 'case when $ then now() end', change: 'case when $ then coalesce(m.discontinued_at, now()) end', cell: 'discontinued', label: 'Discontinued, not made any more',
    shape: boolean().default(false), toCell: (v) => (v ? 'yes' : ''), fromCell: (t) => YES.has(fold(t)), show: (v): boolean => v ?? false, typed: (v) => v, usual: false }),
  notes: field({ of: ALL, table: 'material', column: 'notes', cell: 'notes', label: 'Notes', ...TEXT,
    shape: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''), usual: '' }),
}

type Fields = typeof FIELDS
export type FieldName = keyof Fields
/** A field, whatever it holds. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- the one place where every kind of value is alike
export type AnyField = Field<any, MaterialKind, string, any>

/** Names of the fields a kind of material has. */
export type FieldsOf<K extends MaterialKind> = {
  [N in FieldName]: K extends Fields[N]['of'][number] ? N : never
}[FieldName]

/** Every field with its name, in the order of a list's columns. */
export const EVERY_FIELD = Object.entries(FIELDS) as unknown as readonly (readonly [FieldName, AnyField])[]

/** The fields of each kind, found once: a list of thousands asks for them row by row. */
const BY_KIND = new Map(
  MATERIAL_KINDS.map((kind) => [kind, EVERY_FIELD.filter(([, f]) => f.of.includes(kind))] as const),
)

/** The fields of a kind, or those of a table. */
export const fieldsOf = (kind: MaterialKind) => BY_KIND.get(kind)!
const fieldsIn = (table: AnyField['table']) => EVERY_FIELD.filter(([, f]) => f.table === table)

/** The shapes of a kind's fields, for its schema. */
export const shapesOf = <K extends MaterialKind>(kind: K) =>
  Object.fromEntries(fieldsOf(kind).map(([name, f]) => [name, f.shape as AnySchema])) as {
    [N in FieldsOf<K>]: Fields[N]['shape']
  }

/** The fields of the form of a material, as they are typed. */
export type TypedFields = { [N in FieldName]: ReturnType<Fields[N]['show']> }
/** A column of a list that holds a plain field. */
export type FieldCell = Fields[FieldName]['cell']

/** SQL of the fields of a table: what is read of it under its alias, and what is written from the rows `r` of a recordset. */
export function columnsOf(table: AnyField['table'], alias: string) {
  const list = fieldsIn(table)
  const value = (name: string, sql: string | undefined) => (sql ?? '$').replaceAll('$', `r."${name}"`)
  return {
    read: list.map(([n, f]) => `${(f.read ?? `@.${f.column}`).replaceAll('@', alias)} as "${n}"`).join(', '),
    names: list.map(([, f]) => f.column).join(', '),
    values: list.map(([n, f]) => value(n, f.write)).join(', '),
    changes: list.map(([n, f]) => `${f.column} = ${value(n, f.change ?? f.write)}`).join(', '),
    excluded: list.map(([, f]) => `${f.column} = excluded.${f.column}`).join(', '),
    recordset: list.map(([n, f]) => `"${n}" ${f.type}`).join(', '),
    /** The fields of a material as a record; those its kind has not as what their rows hold then. */
    record: (m: object): Record<string, unknown> =>
      Object.fromEntries(list.map(([n, f]) => [n, (m as Record<string, unknown>)[n] ?? f.absent ?? null])),
  }
}
