'use server'

import { revalidatePath } from 'next/cache'
import { object } from 'yup'
import type { Answer } from '@/core/answer'
import { Conflict, NotFound } from '@/core/errors'
import { idSchema } from '@/db/base/idSchema'
import { perform } from '@/server/perform'
import { planSchema } from '@/db/plans/schema'
import { savePlan } from '@/db/plans/write'

/** Saves a plan, new or changed; what it needs is worked out anew on the server. */
export async function savePlanAction(input: unknown): Promise<Answer<{ id: string }>> {
  const result = await perform(planSchema, input, async (tx, plan) => {
    await savePlan(tx, plan)
    return { id: plan.id }
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}

/** Puts a plan away that will not be poured. */
export async function dropPlanAction(input: unknown): Promise<Answer<null>> {
  const result = await perform(object({ id: idSchema }), input, async (tx, { id }) => {
    const [plan] = await tx.q<{ poured_at: string | null }>(
      'select poured_at from plan where studio_id = $1 and id = $2 for update',
      [tx.studioId, id],
    )
    if (!plan) throw new NotFound('plan')
    if (plan.poured_at) throw new Conflict('This plan has been poured. Undo the pour first, if it did not happen.')
    await tx.q('update plan set archived_at = now() where studio_id = $1 and id = $2', [tx.studioId, id])
    return null
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}
