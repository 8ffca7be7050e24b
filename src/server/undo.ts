'use server'

import { revalidatePath } from 'next/cache'
import { object } from 'yup'
import type { Answer } from '@/core/answer'
import { undoMovement } from '@/db/ledger'
import { idSchema } from '@/db/base/idSchema'
import { perform } from '@/server/perform'

const undoSchema = object({ requestId: idSchema, movementId: idSchema })

/** Undoes a movement by its mirror image; offered wherever movements are shown. */
export async function undoAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(undoSchema, input, async (tx, undo) => {
    await undoMovement(tx, undo)
    return null
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}
