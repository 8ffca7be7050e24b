import { v7 as uuidv7 } from 'uuid'
import { fold } from '@/core/paint/fold'
import { Conflict, Invalid } from '@/core/errors'
import type { Tx } from '@/db/base/withStudio'
import { beginBulk, linkUp, withoutLinks } from '@/db/materials/bulk'
import { keepMapping, keptMapping } from '@/db/materials/importMapping'
import { allMaterials, inputOf } from '@/db/materials/read'
import { writeMaterials, type Write } from '@/db/materials/write'
import { decodeText, readCsv } from '@/exchange/csv'
import { readCxf3 } from '@/exchange/cxf3'
import { COLUMNS, guessMapping, type Column, type Mapping } from '@/exchange/fields'
import { readGpl, type Palette } from '@/exchange/gpl'
import { readJson, resolve, writeRest, type ReadCatalogue } from '@/exchange/json'
import { compared, keyOf, knownByKey, LIMITS, readTable, type Known, type ReadRow, type Table } from '@/exchange/table'
import { readXlsx } from '@/exchange/xlsx'

/** A file as it was read: a list to be mapped, or a catalogue of ours that needs no mapping. */
export type ReadFile =
  { readonly kind: 'table'; readonly table: Table } | { readonly kind: 'catalogue'; readonly text: string }

const ofPalette = ({ name, swatches }: Palette): Table => ({
  headings: ['line', 'name', 'swatch'],
  rows: swatches.map((s) => [name, s.name, s.hex]),
})

/** Reads a file by what is in it, not by its name. @throws Invalid when it is nothing Fika reads */
export async function readFile(bytes: Uint8Array): Promise<ReadFile> {
  if (bytes.length === 0) throw new Invalid('This file is empty. Choose another.', 'file')
  if (bytes.length > LIMITS.bytes)
    throw new Invalid('This file is larger than 8 MB. Split it, and import the parts.', 'file')
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return { kind: 'table', table: await readXlsx(bytes) }
  if (bytes.subarray(0, 4096).includes(0) && !(bytes[0] === 0xff || bytes[0] === 0xfe))
    throw new Invalid('This is not a list Fika reads. Bring CSV, XLSX, JSON, a GIMP palette or CxF3.', 'file')
  const text = decodeText(bytes)
  const start = text.replace(/^\uFEFF/, '').trimStart()
  if (start.startsWith('{')) return { kind: 'catalogue', text }
  if (start.startsWith('<')) return { kind: 'table', table: ofPalette(readCxf3(text)) }
  if (start.startsWith('GIMP Palette')) return { kind: 'table', table: ofPalette(readGpl(text)) }
  return { kind: 'table', table: readCsv(text) }
}

/** Every material of the studio as an import compares with it. */
export async function knownMaterials(tx: Tx): Promise<Known[]> {
  return (await allMaterials(tx)).map((m) => ({ id: m.id, revision: m.revision, input: inputOf(m) }))
}

/** The mapping kept for a list with these headings, or a guess. */
export async function mappingFor(tx: Tx, headings: readonly string[]): Promise<Mapping> {
  const kept = await keptMapping(tx, headings)
  const guess = guessMapping(headings)
  if (!kept) return guess
  return Object.fromEntries(
    headings.map((h) => {
      const c = kept[fold(h)]
      return [h, c === '' || COLUMNS.includes(c as Column) ? (c as Column | '') : (guess[h] ?? '')]
    }),
  )
}

/** A file held against the studio: each row with the id it has or will have. */
interface Reading {
  readonly known: readonly Known[]
  readonly rows: readonly ReadRow[]
  readonly ids: readonly string[]
  /** Where the file is a catalogue: what hangs between its materials. */
  readonly catalogue?: ReadCatalogue
}

async function readWhole(tx: Tx, file: ReadFile, mapping: Mapping): Promise<Reading> {
  const known = await knownMaterials(tx)
  if (file.kind === 'table') {
    const rows = readTable(file.table, mapping, knownByKey(known))
    return { known, rows, ids: rows.map((r) => r.known?.id ?? uuidv7()) }
  }
  const catalogue = readJson(file.text)
  const resolved = resolve(catalogue, known)
  return {
    known,
    rows: resolved.map((m, i) => compared(i + 1, m.input, m.known)),
    ids: resolved.map((m) => m.id),
    catalogue,
  }
}

/** What an import would do, row by row; writes nothing. */
export const previewFile = async (tx: Tx, file: ReadFile, mapping: Mapping): Promise<readonly ReadRow[]> =>
  (await readWhole(tx, file, mapping)).rows

export interface Imported {
  readonly added: number
  readonly changed: number
  readonly same: number
  readonly bad: number
}

/** Rows written in one go; between two, the progress is told and others get their turn. */
const CHUNK = 200

/**
 * Imports a file in the transaction it is given: all of it or nothing.
 * @param update whether rows that are here already are changed to what the file says
 * @param told called with how many rows are done, of how many
 * @throws Conflict when somebody else changed a paint meanwhile
 */
export async function importFile(
  tx: Tx,
  file: ReadFile,
  mapping: Mapping,
  update: boolean,
  told: (done: number, of: number) => void = () => undefined,
): Promise<Imported> {
  await beginBulk(tx)
  const { known, rows, ids, catalogue } = await readWhole(tx, file, mapping)
  const write = (state: ReadRow['state']) =>
    rows.flatMap((r, i): Write[] =>
      r.state === state
        ? [{ id: ids[i]!, revision: r.known?.revision ?? 0, before: r.known?.input ?? null, after: r.material! }]
        : [],
    )
  // New ones first: what is changed may link to one of them.
  const writes = [...write('new'), ...(update ? write('changed') : [])]
  for (let at = 0; at < writes.length; at += CHUNK) {
    const chunk = writes.slice(at, at + CHUNK)
    const written = await writeMaterials(tx, chunk.map(withoutLinks))
    const missed = chunk.find((w) => !written.has(w.id))
    if (missed)
      throw new Conflict(
        `${missed.after.name} was changed by somebody else meanwhile. Nothing was imported; try again.`,
      )
    told(Math.min(writes.length, at + CHUNK), writes.length)
    await new Promise((resolve) => setImmediate(resolve))
  }
  await linkUp(tx, writes)
  if (file.kind === 'table') await keepMapping(tx, file.table.headings, mapping)
  if (catalogue) {
    const brought = rows.map((r, i) => [keyOf(r.material!), ids[i]!] as const)
    await writeRest(tx, catalogue, new Map([...known.map((k) => [keyOf(k.input), k.id] as const), ...brought]))
  }
  const count = (state: ReadRow['state']) => rows.filter((r) => r.state === state).length
  return {
    added: count('new'),
    changed: update ? count('changed') : 0,
    same: count('same') + (update ? 0 : count('changed')),
    bad: count('bad'),
  }
}
