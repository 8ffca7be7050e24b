import { array, boolean, mixed, object, string, type InferType } from 'yup'
import { Invalid } from '@/core/errors'
import { COLUMNS, type Mapping } from '@/exchange/fields'
import type { ReadFile } from '@/exchange/table'

const tableSchema = object({
  headings: array(string().defined().max(2000)).max(200, 'Two hundred columns are the most. Remove some.').required(),
  rows: array(array(string().defined()).required()).required(),
})
/** What the page sends back of a file it was given, with what is to be done with it. */
export const importSchema = object({
  file: object({
    kind: string()
      .oneOf(['table', 'catalogue'] as const)
      .required(),
    table: tableSchema.optional().default(undefined),
    text: string().max(40_000_000).optional(),
  }).required(),
  mapping: mixed<Record<string, string>>(
    (v): v is Record<string, string> => typeof v === 'object' && v !== null,
  ).default({}),
  update: boolean().default(true),
})

/** The file and the mapping of a request. @throws Invalid where there is no file in it */
export function fileOf({ file, mapping }: InferType<typeof importSchema>): { file: ReadFile; mapping: Mapping } {
  const known = Object.fromEntries(
    Object.entries(mapping).map(([h, c]) => [h, (COLUMNS as readonly string[]).includes(c) ? c : '']),
  ) as Mapping
  if (file.kind === 'table' && file.table) return { file: { kind: 'table', table: file.table }, mapping: known }
  if (file.kind === 'catalogue' && file.text) return { file: { kind: 'catalogue', text: file.text }, mapping: known }
  throw new Invalid('Choose the file again.', 'file')
}
