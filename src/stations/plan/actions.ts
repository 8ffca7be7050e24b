'use server'

import { object } from 'yup'
import type { Answer } from '@/core/answer'
import { idSchema } from '@/db/base/idSchema'
import { change } from '@/server/change'
import { perform } from '@/server/perform'
import { planSchema } from '@/db/plans/schema'
import { dropPlan, savePlan } from '@/db/plans/write'

/** Saves a plan, new or changed; what it needs is worked out anew on the server. */
export async function savePlanAction(input: unknown): Promise<Answer<{ id: string; revision: number }>> {
  return perform(planSchema, input, async (tx, plan) => ({
    id: plan.id,
    ...(await savePlan(tx, plan)),
  }))
}

/** Puts a plan away that will not be poured. */
export const dropPlanAction = async (input: unknown) =>
  change(object({ id: idSchema }), input, (tx, { id }) => dropPlan(tx, id))
