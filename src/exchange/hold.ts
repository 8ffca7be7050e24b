import { v7 as uuidv7 } from 'uuid'
import type { MaterialInput } from '@/db/materials/schema'
import type { Mapping } from './fields'
import { readJson, resolve, type CatalogueRest } from './json'
import { compared, keyOf, knownByKey, readTable, type HereAlready, type ReadFile, type ReadRow } from './table'

/** A row held against the studio, with the id it has or will have. */
export interface HeldRow {
  readonly line: number
  readonly name: string
  readonly state: ReadRow['state']
  readonly why: string
  readonly id: string
  /** Revision of what is here already; 0 where nothing is. */
  readonly revision: number
  readonly material?: MaterialInput
}

/** A file held against the studio. */
export interface Held {
  readonly rows: readonly HeldRow[]
  /** Where the file is a list: its headings. */
  readonly headings?: readonly string[]
  /** Where the file is a catalogue: what hangs between its materials. */
  readonly rest?: CatalogueRest
}

const held = ({ line, name, state, why, material, known }: ReadRow, id: string): HeldRow => ({
  line,
  name,
  state,
  why,
  id,
  revision: known?.revision ?? 0,
  ...(material ? { material } : {}),
})

/**
 * Says of each row of a file what it would do to what is here; asks nobody and writes nothing.
 * @throws Invalid when the file as a whole cannot be read so
 */
export function holdAgainst(file: ReadFile, mapping: Mapping, known: readonly HereAlready[]): Held {
  if (file.kind === 'table')
    return {
      rows: readTable(file.table, mapping, knownByKey(known)).map((r) => held(r, r.known?.id ?? uuidv7())),
      headings: file.table.headings,
    }
  const { materials, head } = readJson(file.text)
  const resolved = resolve(materials, known)
  return {
    rows: resolved.map((m, i) => held(compared(i + 1, m.input, m.known), m.id)),
    rest: { head, archived: materials.filter((m) => m.archived).map((m) => keyOf(m.input)) },
  }
}
