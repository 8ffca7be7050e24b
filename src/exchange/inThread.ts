import { inThread, type ThreadKind } from '@/server/thread'
import type { Mapping } from './fields'
import type { Held, HeldRow } from './hold'
import type { Head, ListJob, Preview } from './listJobs'
import type { HereAlready } from './table'

const LISTS: ThreadKind = {
  file: 'exchange/thread.ts',
  mostMb: 320,
  mostMs: 10_000,
  tooMuch:
    'This file takes too long to read, or too much room. Save only the list itself as CSV, or bring it in parts.',
}

const ask = <T>(job: ListJob, part?: (rows: readonly HeldRow[]) => void) => inThread<T>(LISTS, job, part)

/** What a file is: its headings and first cells. @throws Invalid where Fika cannot read it; TooLarge */
export const headOf = (bytes: Uint8Array) => ask<Head>({ ask: 'head', bytes })

/** A part of what an import would do, row by row, from `from` on. @throws as `headOf` */
export const previewOf = (bytes: Uint8Array, mapping: Mapping, known: readonly HereAlready[], from: number) =>
  ask<Preview>({ ask: 'preview', bytes, mapping, known, from })

/** The rows that cannot be imported, as CSV. @throws as `headOf` */
export const rowsToMend = (bytes: Uint8Array, mapping: Mapping, known: readonly HereAlready[]) =>
  ask<string>({ ask: 'mend', bytes, mapping, known })

/** A whole file held against the studio. @throws as `headOf` */
export async function heldOf(bytes: Uint8Array, mapping: Mapping, known: readonly HereAlready[]): Promise<Held> {
  const rows: HeldRow[] = []
  const besides = await ask<Omit<Held, 'rows'>>({ ask: 'rows', bytes, mapping, known }, (part) => rows.push(...part))
  return { rows, ...besides }
}
