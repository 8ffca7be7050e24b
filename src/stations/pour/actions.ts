'use server'

import { revalidatePath } from 'next/cache'
import type { Answer } from '@/core/answer'
import { perform } from '@/server/perform'
import { pourSchema } from '@/db/pieces/pourSchema'
import { pourPlan } from '@/db/pieces/pour'

/** Books the pour of a plan, with the amounts as they really were. */
export async function pourAction(input: unknown): Promise<Answer<{ pieceId: string }>> {
  const result = await perform(pourSchema, input, (tx, good) => pourPlan(tx, good))
  if (result.ok) revalidatePath('/', 'layout')
  return result
}
