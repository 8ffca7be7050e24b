'use server'

import { revalidatePath } from 'next/cache'
import type { Answer } from '@/core/answer'
import { Conflict, NotFound } from '@/core/errors'
import { change } from '@/server/change'
import { checked, perform } from '@/server/perform'
import { changesOf, findMaterial, inputOf } from '@/db/materials/read'
import {
  archiveSchema,
  currentSchema,
  pairNoteSchema,
  saveSchema,
  schemaOf,
  undoChangeSchema,
  type MaterialInput,
} from '@/db/materials/schema'
import { insertMaterial, notePair, undoChange, updateMaterial } from '@/db/materials/write'

/** Saves a material: a new one at revision 0, a change at the revision it was opened with. */
export async function saveMaterialAction(input: unknown): Promise<Answer<{ id: string }>> {
  const result = await perform(saveSchema, input, async (tx, { id, revision }) => {
    const raw = (input as { material: { kind?: string } }).material
    const material = (await checked(schemaOf(raw.kind), raw)) as MaterialInput
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

/** A material as it is now, for whoever finds that somebody else changed it. */
export async function currentMaterialAction(
  input: unknown,
): Promise<Answer<{ revision: number; input: MaterialInput; by: string | null }>> {
  return perform(currentSchema, input, async (tx, { id }) => {
    const row = await findMaterial(tx, id)
    const [last] = await changesOf(tx, id)
    return { revision: row.revision, input: inputOf(row), by: last?.by ?? null }
  })
}

/** Puts a material away, or takes it out again. What was mixed with it stays. */
export const archiveMaterialAction = async (input: unknown) =>
  change('/paints', archiveSchema, input, async (tx, { id, archived }) => {
    const done = await tx.q(
      `update material set archived_at = case when $3 then coalesce(archived_at, now()) end, updated_at = now()
       where studio_id = $1 and id = $2 returning id`,
      [tx.studioId, id, archived],
    )
    if (done.length === 0) throw new NotFound('paint or medium')
  })

/** Makes a change of a material undone. */
export const undoChangeAction = async (input: unknown) =>
  change('/', undoChangeSchema, input, (tx, { materialId, changeId }) => undoChange(tx, materialId, changeId))

/** Keeps the maker's own word on two paints, or takes it back. */
export const notePairAction = async (input: unknown) => change('/paints', pairNoteSchema, input, notePair)
