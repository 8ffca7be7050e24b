'use server'

import type { Answer } from '@/core/answer'
import { NotFound } from '@/core/errors'
import { changesOf, findMaterial, inputOf } from '@/db/materials/read'
import {
  archiveSchema,
  currentSchema,
  pairNoteSchema,
  saveSchema,
  undoChangeSchema,
  type MaterialInput,
} from '@/db/materials/schema'
import { archiveMaterials, notePair, saveMaterial, undoChange } from '@/db/materials/write'
import { change } from '@/server/change'
import { perform } from '@/server/perform'

/** Saves a material: a new one at revision 0, a change at the revision it was opened with. */
export async function saveMaterialAction(input: unknown): Promise<Answer<{ id: string }>> {
  return perform(saveSchema, input, async (tx, { id, revision, material }) => {
    await saveMaterial(tx, id, revision, material)
    return { id }
  })
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

/** Puts a material away, or takes it out again. */
export const archiveMaterialAction = async (input: unknown) =>
  change(archiveSchema, input, async (tx, { id, archived }) => {
    if ((await archiveMaterials(tx, [id], archived)) === 0) throw new NotFound('paint or medium')
  })

/** Makes a change of a material undone. */
export const undoChangeAction = async (input: unknown) =>
  change(undoChangeSchema, input, (tx, { materialId, changeId }) => undoChange(tx, materialId, changeId))

/** Keeps the maker's own word on two paints, or takes it back. */
export const notePairAction = async (input: unknown) => change(pairNoteSchema, input, notePair)
