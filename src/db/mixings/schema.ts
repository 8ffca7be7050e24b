import { READING_WAYS } from '@/core/consistency/levelTime'
import { array, boolean, lazy, mixed, number, object, string, type InferType } from 'yup'
import { ROLES } from '@/core/paint/properties'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'
import { techniqueKey } from '@/db/techniques/schema'
import { bottleFields } from './bottleFields'
import { recipeShape } from './recipeShape'
import { seconds } from '@/db/bottles/readingSchema'
import type { EyeEvent } from '@/core/mix/byEye'
import type { GuideEvent } from '@/core/mix/guide'

const ul = number().integer().min(0).max(3e9, 'That is more than any vessel holds. Check the unit.')
const grams = number().min(-1e6).max(1e6)

const line = object({
  source: string()
    .oneOf(['material', 'bottle'] as const)
    .required(),
  id: idSchema,
  plannedUl: ul.min(1).required(),
  byDrop: boolean().default(false),
})

/** What a guided mix is begun with; names, colours and densities are looked up, not sent. */
export const beginGuideSchema = object({
  id: idSchema,
  lines: array(line).min(1, 'Choose a paint or a medium, and a total, first.').max(24).required(),
  recipe: object(recipeShape).required(),
  label: string().trim().max(120).default(''),
  role: string().oneOf(ROLES).required(),
  technique: techniqueKey().required('Choose a technique.'),
  bandS: array(number().min(0).max(600).required()).length(2).required(),
  cupUl: ul.min(1).nullable().default(null),
  waterId: string().max(40).default(''),
  steps: array(string().max(300).required()).max(12).default([]),
  formula: object({ id: idSchema, version: revisionSchema(1).required() })
    .nullable()
    .default(null),
})
export type BeginGuide = InferType<typeof beginGuideSchema>

const events: Readonly<Record<string, object>> = {
  next: {},
  follow: {},
  keep: {},
  good: {},
  undo: {},
  tare: { grams: grams.required(), heldUl: ul.optional() },
  pour: { ul: ul.required('Type how much was poured, like 60 ml.'), grams: grams.optional() },
  water: { ul: ul.required('Type how much water went in, like 6 drops.'), grams: grams.optional() },
  reading: {
    levelTimeS: seconds,
    sigma: number().moreThan(0).max(3).required(),
    tries: array(seconds).max(9, 'Nine tries of one mound are the most.').required(),
    how: string().oneOf(READING_WAYS).required(),
  },
  name: {
    source: string()
      .oneOf(['material', 'bottle'] as const)
      .required(),
    id: idSchema,
  },
  add: { ul: ul.required('Type how much was poured, like 60 ml.'), grams: grams.optional() },
  back: { ul: ul.required('Type how much was poured back, like 10 ml.'), grams: grams.optional() },
}

/** One thing that happened at a mix: which event it is decides what belongs to it. */
export const eventSchema = object({
  requestId: idSchema,
  after: revisionSchema(0).required(),
  event: lazy((value: unknown) => {
    const kind = (value as { kind?: string } | null)?.kind ?? ''
    return object({
      kind: string().oneOf(Object.keys(events), 'Fika does not know that step. Reload the page.').required(),
      ...events[kind],
    }).noUnknown()
  }) as unknown as ReturnType<ReturnType<typeof mixed<GuideEvent | EyeEvent>>['required']>,
})

/** Which mix is meant, as an address has it; what is no id is simply not found. */
export const mixingSchema = object({ id: string().required() })

/** Into which bottle a finished mix goes. */
export const bookMixingSchema = object({
  label: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the bottle a name, so that it is found again.'),
  role: string().oneOf(ROLES, 'Choose a role.').required('Choose a role.'),
  palette: string().trim().max(80, 'The palette’s name is longer than 80 characters. Shorten it.').default(''),
  ...bottleFields,
  /** What was poured from a bottle beyond its books is booked as found in it. */
  findRest: boolean().default(false),
})
export type BookMixing = InferType<typeof bookMixingSchema>
