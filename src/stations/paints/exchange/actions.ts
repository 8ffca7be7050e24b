'use server'

import type { Answer } from '@/core/answer'
import { answer } from '@/server/perform'
import { requireSession } from '@/session/current'
import { withStudio } from '@/db/base/withStudio'
import { Invalid } from '@/core/errors'
import type { Mapping } from '@/exchange/fields'
import { mappingFor, previewFile, readFile, type ReadFile } from '@/exchange/import'
import { checkImport } from '@/exchange/request'
import type { ReadRow } from '@/exchange/table'

/** A row as the preview shows it. */
export type PreviewRow = Pick<ReadRow, 'line' | 'name' | 'state' | 'why'>
const shown = (rows: readonly ReadRow[]): PreviewRow[] =>
  rows.map(({ line, name, state, why }) => ({ line, name, state, why }))

export interface Opened {
  readonly file: ReadFile
  readonly mapping: Mapping
  readonly rows: readonly PreviewRow[]
  /** What stands in the way of reading rows, such as a column still to choose. */
  readonly problem: string | null
}

/** Opens a file and says what an import would do; writes nothing. */
export async function openFileAction(form: FormData): Promise<Answer<Opened>> {
  return answer(async () => {
    const who = await requireSession()
    const upload = form.get('file')
    if (!(upload instanceof File)) throw new Invalid('Choose a file first.', 'file')
    const file = await readFile(new Uint8Array(await upload.arrayBuffer()))
    return withStudio(who, async (tx) => {
      const mapping = file.kind === 'table' ? await mappingFor(tx, file.table.headings) : {}
      try {
        return { file, mapping, rows: shown(await previewFile(tx, file, mapping)), problem: null }
      } catch (error) {
        if (file.kind === 'table' && error instanceof Invalid && error.field === 'mapping')
          return { file, mapping, rows: [], problem: error.message }
        throw error
      }
    })
  })
}

/** The preview anew, with columns chosen otherwise. */
export async function previewAction(input: unknown): Promise<Answer<PreviewRow[]>> {
  return answer(async () => {
    const who = await requireSession()
    const { file, mapping } = await checkImport(input)
    return withStudio(who, async (tx) => shown(await previewFile(tx, file, mapping)))
  })
}
