'use server'

import { number, object, string } from 'yup'
import type { Answer } from '@/core/answer'
import { rememberDensity } from '@/db/materials/mixable'
import { beginMixing, endMixing } from '@/db/mixings/mixings'
import { change } from '@/server/change'
import { idSchema } from '@/db/base/idSchema'
import { perform } from '@/server/perform'
import { beginGuideSchema } from '@/db/mixings/schema'
import { beginGuide } from '@/db/mixings/write'

/** Begins a guided mix. */
export async function beginGuideAction(input: unknown): Promise<Answer<{ id: string }>> {
  return perform(beginGuideSchema, input, async (tx, good) => ({ id: await beginGuide(tx, good) }))
}

/** Begins a mix that is poured first and read after. */
export async function beginByEyeAction(input: unknown): Promise<Answer<{ id: string }>> {
  return perform(
    object({ id: idSchema, label: string().trim().max(120).default('') }),
    input,
    async (tx, { id, label }) => {
      await beginMixing(tx, { id, kind: 'by eye', plan: { label } })
      return { id }
    },
  )
}

/** Puts a mix aside for good; what was poured was never booked. */
export const putAsideAction = async (input: unknown) =>
  change(object({ id: idSchema }), input, (tx, { id }) => endMixing(tx, id, null))

/** Remembers the density of a material that was measured and weighed. */
export const weighOnceAction = async (input: unknown) =>
  change(
    object({
      materialId: idSchema,
      densityGPerMl: number()
        .min(0.5, 'Lighter than anything poured here. Measure and weigh again.')
        .max(6, 'Heavier than anything poured here. Measure and weigh again.')
        .required(),
    }),
    input,
    (tx, { materialId, densityGPerMl }) => rememberDensity(tx, materialId, densityGPerMl),
  )
