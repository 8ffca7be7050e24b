import { v7 as uuidv7 } from 'uuid'
import { fold } from '@/core/paint/fold'
import { Conflict } from '@/core/errors'
import type { Tx } from '@/db/base/withStudio'
import { beginBulk, linkUp, withoutLinks } from '@/db/materials/bulk'
import { keepMapping, keptMapping } from '@/db/materials/importMapping'
import { allMaterials, inputOf } from '@/db/materials/read'
import { writeMaterials, type Write } from '@/db/materials/write'
import { COLUMNS, guessMapping, type Column, type Mapping } from '@/exchange/fields'
import { readJson, resolve, writeRest, type ReadCatalogue } from '@/exchange/json'
import { compared, keyOf, knownByKey, readTable, type HereAlready, type ReadFile, type ReadRow } from '@/exchange/table'

/** Every material of the studio as an import compares with it. */
export async function knownMaterials(tx: Tx): Promise<HereAlready[]> {
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
interface HeldAgainst {
  readonly known: readonly HereAlready[]
  readonly rows: readonly ReadRow[]
  readonly ids: readonly string[]
  /** Where the file is a catalogue: what hangs between its materials. */
  readonly catalogue?: ReadCatalogue
}

async function readWhole(tx: Tx, file: ReadFile, mapping: Mapping): Promise<HeldAgainst> {
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
