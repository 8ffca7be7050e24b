import type { Tx } from '@/db/base/withStudio'
import type { Mapping } from '@/exchange/fields'
import { holdAgainst } from '@/exchange/hold'
import { knownMaterials, writeImport } from '@/exchange/import'
import type { ReadFile } from '@/exchange/table'

/** A file held against the studio where the test runs, without a thread. */
export const previewFile = async (tx: Tx, file: ReadFile, mapping: Mapping) =>
  holdAgainst(file, mapping, await knownMaterials(tx)).rows

/** A file brought in as the route does it, but in one transaction and without a thread. */
export async function importFile(
  tx: Tx,
  file: ReadFile,
  mapping: Mapping,
  update: boolean,
  told: (done: number, of: number) => void = () => undefined,
) {
  const known = await knownMaterials(tx)
  return writeImport(tx, holdAgainst(file, mapping, known), known, mapping, update, told)
}
