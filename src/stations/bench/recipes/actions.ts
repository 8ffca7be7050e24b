'use server'

import type { Answer } from '@/core/answer'
import { checkBands } from '@/core/consistency/levelTime'
import { saveBands, saveRatioOfBody, saveRatioOfPaint, saveSchool, saveRackWarmth } from '@/db/people/houseRules'
import { refreshKeepOfRack } from '@/db/bottles/edit'
import { putRecipeAway, saveRecipe } from '@/db/recipes/recipes'
import { change } from '@/server/change'
import { idSchema } from '@/db/base/idSchema'
import { perform } from '@/server/perform'
import { object } from 'yup'
import {
  bandsSchema,
  bodyRatioSchema,
  paintRatioSchema,
  saveRecipeSchema,
  schoolSchema,
  rackWarmthSchema,
} from '@/db/recipes/schema'

/** Saves a recipe, or the next version of it. */
export async function saveRecipeAction(input: unknown): Promise<Answer<{ id: string; version: number }>> {
  return perform(saveRecipeSchema, input, async (tx, r) => ({
    id: r.id,
    version: await saveRecipe(tx, r),
  }))
}
export const putRecipeAwayAction = async (input: unknown) =>
  change(object({ id: idSchema }), input, (tx, { id }) => putRecipeAway(tx, id))
export const bodyRatioAction = async (input: unknown) =>
  change(bodyRatioSchema, input, (tx, { body, ratio }) => saveRatioOfBody(tx, body, ratio))
export const paintRatioAction = async (input: unknown) =>
  change(paintRatioSchema, input, (tx, { paintId, ratio }) => saveRatioOfPaint(tx, paintId, ratio))
export const schoolAction = async (input: unknown) =>
  change(schoolSchema, input, (tx, { key, school }) => saveSchool(tx, key, school))
export const bandsAction = async (input: unknown) =>
  change(bandsSchema, input, (tx, { bands }) => saveBands(tx, bands && checkBands(bands)))

/** How warm the rack stands; what keeps is worked out anew for all that is on it. */
export const rackWarmthAction = async (input: unknown) =>
  change(rackWarmthSchema, input, async (tx, { rackC }) => {
    await saveRackWarmth(tx, rackC)
    await refreshKeepOfRack(tx)
  })
