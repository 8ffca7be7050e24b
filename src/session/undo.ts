'use server'

import { revalidatePath } from 'next/cache'
import { object, string } from 'yup'
import type { Answer } from '@/core/answer'
import { undoMovement } from '@/db/ledger'
import { perform } from './perform'

const undoSchema = object({ requestId: string().uuid().required(), movementId: string().uuid().required() })

/** Undoes a movement by its mirror image; offered wherever movements are shown. */
export async function undoAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(undoSchema, input, async (tx, undo) => {
    await undoMovement(tx, undo)
    return null
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}
