'use server'

import { mixed, object } from 'yup'
import type { Answer } from '@/core/answer'
import { perform, performPrepared } from '@/server/perform'
import { Invalid } from '@/core/errors'
import type { Mapping } from '@/exchange/fields'
import { mappingFor, previewFile } from '@/exchange/import'
import { readFile } from '@/exchange/readFile'
import type { ReadFile, ReadRow } from '@/exchange/table'
import { fileOf, importSchema } from '@/exchange/request'

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

const openSchema = object({
  file: mixed<File>((v): v is File => v instanceof File)
    .typeError('Choose a file first.')
    .required('Choose a file first.'),
})

/** Opens a file and says what an import would do; writes nothing. */
export async function openFileAction(form: FormData): Promise<Answer<Opened>> {
  return performPrepared(
    openSchema,
    form,
    async ({ file }) => readFile(new Uint8Array(await file.arrayBuffer())),
    async (tx, file) => {
      const mapping = file.kind === 'table' ? await mappingFor(tx, file.table.headings) : {}
      try {
        return { file, mapping, rows: shown(await previewFile(tx, file, mapping)), problem: null }
      } catch (error) {
        if (file.kind === 'table' && error instanceof Invalid && error.field === 'mapping')
          return { file, mapping, rows: [], problem: error.message }
        throw error
      }
    },
  )
}

/** The preview anew, with columns chosen otherwise. */
export const previewAction = async (input: unknown): Promise<Answer<PreviewRow[]>> =>
  perform(importSchema, input, async (tx, sent) => {
    const { file, mapping } = fileOf(sent)
    return shown(await previewFile(tx, file, mapping))
  })
