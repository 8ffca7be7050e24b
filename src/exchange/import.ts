import { fold } from '@/core/paint/fold'
import { Conflict } from '@/core/errors'
import type { Tx } from '@/db/base/withStudio'
import { beginBulk, linkUp, withoutLinks } from '@/db/materials/bulk'
import { keepMapping, keptMapping } from '@/db/materials/importMapping'
import { allMaterials, inputOf } from '@/db/materials/read'
import { writeMaterials, type Write } from '@/db/materials/write'
import { COLUMNS, guessMapping, type Column, type Mapping } from '@/exchange/fields'
import type { Held, HeldRow } from './hold'
import { writeRest } from './json'
import { keyOf, type HereAlready } from './table'

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

export interface Imported {
  readonly added: number
  readonly changed: number
  readonly same: number
  readonly bad: number
}

/** Rows written in one go; between two, the progress is told and others get their turn. */
const CHUNK = 200

/**
 * Writes a file that was held against the studio, in the transaction it is given: all of it or nothing.
 * @param known the studio's materials as the file was held against them
 * @param mapping what a list was read by, kept for the next one with its headings
 * @param update whether rows that are here already are changed to what the file says
 * @param told called with how many rows are done, of how many
 * @throws Conflict when somebody else changed a paint meanwhile
 */
export async function writeImport(
  tx: Tx,
  { rows, headings, rest }: Held,
  known: readonly HereAlready[],
  mapping: Mapping,
  update: boolean,
  told: (done: number, of: number) => void = () => undefined,
): Promise<Imported> {
  await beginBulk(tx)
  const before = new Map(known.map((k) => [k.id, k.input]))
  const write = (state: HeldRow['state']) =>
    rows.flatMap((r): Write[] =>
      r.state === state
        ? [{ id: r.id, revision: r.revision, before: before.get(r.id) ?? null, after: r.material! }]
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
  if (headings) await keepMapping(tx, headings, mapping)
  if (rest) {
    const brought = rows.flatMap((r) => (r.material ? [[keyOf(r.material), r.id] as const] : []))
    await writeRest(tx, rest, new Map([...known.map((k) => [keyOf(k.input), k.id] as const), ...brought]))
  }
  const count = (state: HeldRow['state']) => rows.filter((r) => r.state === state).length
  return {
    added: count('new'),
    changed: update ? count('changed') : 0,
    same: count('same') + (update ? 0 : count('changed')),
    bad: count('bad'),
  }
}
