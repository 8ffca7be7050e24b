'use server'

import type { Answer } from '@/core/answer'
import { perform } from '@/server/perform'
import { pourSchema } from '@/db/pieces/pourSchema'
import { pourPlan } from '@/db/pieces/pour'

/** Books the pour of a plan, with the amounts as they really were. */
export async function pourAction(input: unknown): Promise<Answer<{ pieceId: string }>> {
  return perform(pourSchema, input, (tx, good) => pourPlan(tx, good))
}
