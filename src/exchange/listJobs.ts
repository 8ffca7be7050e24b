import { Invalid } from '@/core/errors'
import { writeCsv } from './csv'
import { COLUMNS, type Mapping } from './fields'
import { holdAgainst, type Held, type HeldRow } from './hold'
import { readFile } from './readFile'
import { WHY_COLUMN, type HereAlready, type ReadFile } from './table'

/** What is asked about a file; each time it comes along whole, so that nothing of it is kept between two questions. */
export type ListJob = { readonly bytes: Uint8Array } & (
  | { readonly ask: 'head' }
  | {
      readonly ask: 'preview'
      readonly mapping: Mapping
      readonly known: readonly HereAlready[]
      readonly from: number
    }
  | { readonly ask: 'mend' | 'rows'; readonly mapping: Mapping; readonly known: readonly HereAlready[] }
)

/** What a file is, before it is held against anything. */
export interface Head {
  readonly kind: ReadFile['kind']
  readonly headings: readonly string[]
  /** The first cells of each column, as they stand in the file. */
  readonly samples: readonly (readonly string[])[]
}

/** A row as the preview shows it. */
export type PreviewRow = Pick<HeldRow, 'line' | 'name' | 'state' | 'why'>

/** A part of the preview: those that cannot be imported first, then changes, new ones, and what is here already. */
export interface Preview {
  readonly counts: Readonly<Record<HeldRow['state'], number>>
  readonly rows: readonly PreviewRow[]
}

const ORDER = { bad: 0, changed: 1, new: 2, same: 3 } as const
/** Rows of one part of a preview, and rows handed over together when a file is brought in. */
export const PREVIEWED = 100
const HANDED_OVER = 200
const SAMPLES = 3

function headOf(file: ReadFile): Head {
  if (file.kind === 'catalogue') return { kind: 'catalogue', headings: [], samples: [] }
  const { headings, rows } = file.table
  const samples = headings.map((_, i) =>
    rows
      .slice(0, SAMPLES)
      .map((r) => (r[i] ?? '').slice(0, 80))
      .filter(Boolean),
  )
  return { kind: 'table', headings, samples }
}

function previewOf({ rows }: Held, from: number): Preview {
  const counts = { new: 0, changed: 0, same: 0, bad: 0 }
  for (const r of rows) counts[r.state] += 1
  const sorted = [...rows].sort((a, b) => ORDER[a.state] - ORDER[b.state] || a.line - b.line)
  return {
    counts,
    rows: sorted
      .slice(from, from + PREVIEWED)
      .map(({ line, name, state, why }) => ({ line, name: name.slice(0, 200), state, why })),
  }
}

/** The rows that cannot be imported as a list to mend: as they came, with why beside them. */
function toMend(file: ReadFile, mapping: Mapping, { rows }: Held): string {
  if (file.kind !== 'table') throw new Invalid('Only the rows of a list can be taken out to be mended.', 'file')
  const { headings, rows: cells } = file.table
  const at = new Map(headings.map((h, k) => [mapping[h], k] as const).filter(([c]) => c))
  const used = COLUMNS.filter((c) => at.has(c))
  return writeCsv({
    headings: [WHY_COLUMN, ...used],
    rows: rows
      .filter((r) => r.state === 'bad')
      .map((r) => [r.why, ...used.map((c) => cells[r.line - 2]?.[at.get(c)!] ?? '')]),
  })
}

/**
 * Does what is asked about a file.
 * @param part gets the rows of `rows` in parts; it answers with what else was held
 * @throws Invalid when the file cannot be read
 */
export async function doListJob(job: ListJob, part: (rows: readonly HeldRow[]) => void): Promise<unknown> {
  const file = await readFile(job.bytes)
  if (job.ask === 'head') return headOf(file)
  const held = holdAgainst(file, job.mapping, job.known)
  if (job.ask === 'preview') return previewOf(held, job.from)
  if (job.ask === 'mend') return toMend(file, job.mapping, held)
  for (let at = 0; at < held.rows.length; at += HANDED_OVER) part(held.rows.slice(at, at + HANDED_OVER))
  return { headings: held.headings, rest: held.rest }
}
