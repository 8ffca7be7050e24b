'use server'

import type { Answer } from '@/core/answer'
import { Invalid } from '@/core/errors'
import type { Session } from '@/db/people/sessions'
import { withStudio } from '@/db/base/withStudio'
import type { Mapping } from '@/exchange/fields'
import { knownMaterials, mappingFor } from '@/exchange/import'
import { headOf, previewOf, rowsToMend } from '@/exchange/inThread'
import type { Head, Preview } from '@/exchange/listJobs'
import { listSchema, openSchema } from '@/exchange/request'
import { ask } from '@/server/perform'

export interface Opened extends Head {
  readonly mapping: Mapping
  readonly preview: Preview | null
  /** What stands in the way of reading rows, such as a column still to choose. */
  readonly problem: string | null
}

const bytesOf = async (file: File) => new Uint8Array(await file.arrayBuffer())
const knownTo = (who: Session) => withStudio(who, knownMaterials)

/** Opens a file and says what an import would do; writes nothing, and holds no connection while it reads. */
export const openFileAction = async (form: FormData): Promise<Answer<Opened>> =>
  ask(openSchema, form, async ({ file }, who) => {
    const bytes = await bytesOf(file)
    const head = await headOf(bytes)
    const mapping = head.kind === 'table' ? await withStudio(who, (tx) => mappingFor(tx, head.headings)) : {}
    try {
      return { ...head, mapping, preview: await previewOf(bytes, mapping, await knownTo(who), 0), problem: null }
    } catch (error) {
      if (head.kind === 'table' && error instanceof Invalid && error.field === 'mapping')
        return { ...head, mapping, preview: null, problem: error.message }
      throw error
    }
  })

/** A part of the preview, with columns as they are chosen. */
export const previewAction = async (form: FormData): Promise<Answer<Preview>> =>
  ask(listSchema, form, async ({ file, mapping, from }, who) =>
    previewOf(await bytesOf(file), mapping, await knownTo(who), from),
  )

/** The rows that cannot be imported, as CSV to mend. */
export const mendAction = async (form: FormData): Promise<Answer<string>> =>
  ask(listSchema, form, async ({ file, mapping }, who) => rowsToMend(await bytesOf(file), mapping, await knownTo(who)))
