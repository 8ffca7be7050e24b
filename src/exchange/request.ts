import { array, boolean, mixed, object, string } from 'yup'
import { Invalid } from '@/core/errors'
import { checked } from '@/server/perform'
import { COLUMNS, type Mapping } from '@/exchange/fields'
import type { ReadFile } from '@/exchange/import'

const tableSchema = object({
  headings: array(string().defined().max(2000)).max(200, 'Two hundred columns are the most. Remove some.').required(),
  rows: array(array(string().defined()).required()).required(),
})
const requestSchema = object({
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

/** Reads what the page sends back of a file it was given. @throws Invalid */
export async function checkImport(input: unknown): Promise<{ file: ReadFile; mapping: Mapping; update: boolean }> {
  const { file, mapping, update } = await checked(requestSchema, input)
  const known = Object.fromEntries(
    Object.entries(mapping).map(([h, c]) => [h, (COLUMNS as readonly string[]).includes(c) ? c : '']),
  ) as Mapping
  if (file.kind === 'table' && file.table) return { file: { kind: 'table', table: file.table }, mapping: known, update }
  if (file.kind === 'catalogue' && file.text)
    return { file: { kind: 'catalogue', text: file.text }, mapping: known, update }
  throw new Invalid('Choose the file again.', 'file')
}
