import type { Tx } from '@/db/base/withStudio'
import { allMaterials, inputOf } from '@/db/materials/read'
import { decodeText, readCsv, writeCsv } from './csv'
import { readCxf3, writeCxf3 } from './cxf3'
import { cellsOf, COLUMNS } from './fields'
import { readGpl, writeGpl, type Palette } from './gpl'
import { readCatalogue } from './json'
import type { ReadFile, Table } from './table'
import { readXlsx, writeXlsx } from './xlsx'

/** A form the drawer is taken out in, and, where it can be, brought in. */
export interface Format {
  /** Its name in an address, and the ending of its files. */
  readonly key: string
  readonly name: string
  readonly mediaType: string
  /** What it is good for. */
  readonly what: string
  readonly isText: boolean
  write(tx: Tx, now: Date): Promise<string | Uint8Array>
  /** Whether a file is of this form, by what is in it and not by its name; the first that says so reads it. */
  sniff?(bytes: Uint8Array, start: string): boolean
  /** Reads a file of this form. @throws Invalid with what is wrong with it */
  read?(bytes: Uint8Array): Promise<ReadFile> | ReadFile
}

/** Every material but water, in all columns. */
async function tableOf(tx: Tx): Promise<Table> {
  const rows = (await allMaterials(tx)).filter((m) => m.kind !== 'water')
  return {
    headings: COLUMNS,
    rows: rows.map((m) => {
      const cells = cellsOf(inputOf(m))
      return COLUMNS.map((c) => cells[c])
    }),
  }
}

/** Every paint's swatch by its whole name. */
async function paletteOf(tx: Tx): Promise<Palette> {
  const swatches = (await allMaterials(tx)).flatMap((m) =>
    m.kind === 'paint' ? [{ name: [m.maker, m.line, m.name].filter(Boolean).join(' '), hex: m.swatchHex }] : [],
  )
  return { name: 'Fika drawer', swatches }
}

const ofPalette = ({ name, swatches }: Palette): ReadFile => ({
  kind: 'table',
  table: { headings: ['line', 'name', 'swatch'], rows: swatches.map((s) => [name, s.name, s.hex]) },
})

/** In the order they are offered. The one that reads and does not sniff takes what no other knows: any text can be a list. */
export const FORMATS: readonly Format[] = [
  {
    key: 'csv',
    name: 'CSV',
    isText: true,
    mediaType: 'text/csv; charset=utf-8',
    what: 'every column, for any spreadsheet',
    write: async (tx) => `\uFEFF${writeCsv(await tableOf(tx))}`,
    read: (bytes) => ({ kind: 'table', table: readCsv(decodeText(bytes)) }),
  },
  {
    key: 'xlsx',
    name: 'XLSX',
    isText: false,
    mediaType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    what: 'every column, as a workbook',
    write: async (tx) => writeXlsx(await tableOf(tx)),
    sniff: (bytes) => bytes[0] === 0x50 && bytes[1] === 0x4b,
    read: async (bytes) => ({ kind: 'table', table: await readXlsx(bytes) }),
  },
  {
    key: 'json',
    name: 'JSON',
    isText: true,
    mediaType: 'application/json',
    what: 'everything: pair notes, offers, surfaces, named colours and recipes too',
    write: async (tx) => JSON.stringify(await readCatalogue(tx), null, 1),
    sniff: (_, start) => start.startsWith('{'),
    read: (bytes) => ({ kind: 'catalogue', text: decodeText(bytes) }),
  },
  {
    key: 'cxf',
    name: 'CxF3',
    isText: true,
    mediaType: 'application/xml',
    what: 'swatches as CxF3 (ISO 17972)',
    write: async (tx, now) => writeCxf3(await paletteOf(tx), now),
    sniff: (_, start) => start.startsWith('<'),
    read: (bytes) => ofPalette(readCxf3(decodeText(bytes))),
  },
  {
    key: 'gpl',
    name: 'GIMP palette',
    isText: true,
    mediaType: 'text/plain; charset=utf-8',
    what: 'swatches as a GIMP palette',
    write: async (tx) => writeGpl(await paletteOf(tx)),
    sniff: (_, start) => start.startsWith('GIMP Palette'),
    read: (bytes) => ofPalette(readGpl(decodeText(bytes))),
  },
]
