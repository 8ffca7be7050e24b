'use server'

import { revalidatePath } from 'next/cache'
import type { Answer } from '@/core/answer'
import { perform } from '@/server/perform'
import { rulesSchema } from './schema'

/** Saves the house rules: name, units, water school, currency. */
export async function saveRulesAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(rulesSchema, input, async (tx, r) => {
    await tx.q('update studio set name = $2, units = $3, water_school = $4, currency = $5 where studio_id = $1', [
      tx.studioId,
      r.name,
      r.units,
      r.waterSchool,
      r.currency,
    ])
    return null
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}
