'use server'

import { revalidatePath } from 'next/cache'
import { object, string } from 'yup'
import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { Conflict, NotFound } from '@/core/errors'
import { buyContainer } from '@/db/ledger'
import type { Tx } from '@/db/withStudio'
import { checked, perform } from '@/session/perform'
import { LIMITS, readCsv, type CsvRow } from './csv'
import { archiveSchema, buySchema, mediumSchema, paintSchema, saveSchema, type MaterialInput } from './schema'
import { insertMaterial, updateMaterial } from './write'

/** Saves a paint or medium: a new one at revision 0, a change at the revision it was opened with. */
export async function saveMaterialAction(input: unknown): Promise<Answer<{ id: string }>> {
  const result = await perform(saveSchema, input, async (tx, { id, revision }) => {
    const raw = (input as { material: { kind?: string } }).material
    const material = (await checked(raw.kind === 'paint' ? paintSchema : mediumSchema, raw)) as MaterialInput
    if (revision === 0) {
      // The form made the id: the same save sent twice is the same paint.
      const [mine] = await tx.q('select 1 from material where studio_id = $1 and id = $2', [tx.studioId, id])
      if (!mine && !(await insertMaterial(tx, id, material)))
        throw new Conflict(
          `${material.name} of this maker and line is here already. Open that one, or change the name.`,
        )
    } else await updateMaterial(tx, id, revision, material)
    return { id }
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}

/** Puts a material away, or takes it out again. What was mixed with it stays. */
export async function archiveMaterialAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(archiveSchema, input, async (tx, { id, archived }) => {
    const done = await tx.q(
      `update material set archived_at = case when $3 then coalesce(archived_at, now()) end, updated_at = now()
       where studio_id = $1 and id = $2 returning id`,
      [tx.studioId, id, archived],
    )
    if (done.length === 0) throw new NotFound('paint or medium')
    return null
  })
  if (result.ok) revalidatePath('/paints')
  return result
}

/** Books a bought container with the price really paid. */
export async function buyContainerAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(buySchema, input, async (tx, buy) => {
    await buyContainer(tx, buy)
    return null
  })
  if (result.ok) revalidatePath('/paints')
  return result
}

export interface PreviewRow {
  readonly line: number
  readonly name: string
  readonly state: 'new' | 'here' | 'bad'
  readonly why: string
}

const fileSchema = object({
  text: string()
    .max(LIMITS.characters, 'This file is larger than 2 MB. Split it, and import the parts.')
    .required('This file is empty. Choose another.'),
})

/** Reads a CSV file and says row by row what an import would do; writes nothing. */
export async function previewCsvAction(input: unknown): Promise<Answer<PreviewRow[]>> {
  return perform(fileSchema, input, async (tx, { text }) => {
    const known = await knownKeys(tx)
    return readCsv(text).map((row): PreviewRow => {
      if (!row.material) return { line: row.line, name: row.name, state: 'bad', why: row.why ?? '' }
      return known.has(keyOf(row.material))
        ? { line: row.line, name: row.name, state: 'here', why: 'In the drawer already; left as it is.' }
        : { line: row.line, name: row.name, state: 'new', why: '' }
    })
  })
}

/** Imports the good rows of a CSV file, all of them or none. The same file twice adds nothing twice. */
export async function importCsvAction(input: unknown): Promise<Answer<{ added: number; here: number; bad: number }>> {
  const result = await perform(fileSchema, input, async (tx, { text }) => {
    const rows = readCsv(text)
    const good = rows.filter((r): r is CsvRow & { material: MaterialInput } => r.material !== undefined)
    let added = 0
    for (const row of good) if (await insertMaterial(tx, uuidv7(), row.material)) added += 1
    return { added, here: good.length - added, bad: rows.length - good.length }
  })
  if (result.ok) revalidatePath('/paints')
  return result
}

const keyOf = (m: { kind: string; maker: string; line: string; name: string }) =>
  [m.kind, m.maker, m.line, m.name].map((s) => s.trim().toLowerCase()).join('\u0000')

async function knownKeys(tx: Tx): Promise<Set<string>> {
  const rows = await tx.q<{ kind: string; maker: string; line: string; name: string }>(
    'select kind, maker, line, name from material where studio_id = $1',
    [tx.studioId],
  )
  return new Set(rows.map(keyOf))
}
