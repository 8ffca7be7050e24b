import { array, number, object, string, type InferType } from 'yup'
import { MEDIUM_KINDS, ROLES, BODIES } from '@/core/paint/properties'
import { USUAL_TECHNIQUE } from '@/core/technique/techniques'
import { techniqueKey } from '@/db/techniques/schema'
import { idSchema } from '@/db/base/idSchema'

const typed = string().trim().max(40).default('')
const row = object({ id: idSchema, parts: typed })

/** A recipe as it is kept: what was typed, without amounts. */
export const recipeBodySchema = object({
  paints: array(row).max(12).required(),
  mediums: array(row).max(3, 'At most three mediums: beyond that each one’s effect is lost.').required(),
  ratio: typed,
  waterId: string().max(40).default(''),
  waterParts: typed,
  drops: array(row).max(6, 'Six additives are the most.').required(),
  steps: array(string().trim().max(300, 'A step is longer than 300 characters. Split it.').required())
    .max(12, 'Twelve steps are the most.')
    .required(),
  role: string().oneOf(ROLES).default('pour'),
  technique: techniqueKey().default(USUAL_TECHNIQUE),
})
export type RecipeBody = InferType<typeof recipeBodySchema>

export const saveRecipeSchema = object({
  requestId: idSchema,
  id: idSchema,
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the recipe a name.'),
  note: string().trim().max(1000).default(''),
  body: recipeBodySchema.required(),
})

const part = number()
  .typeError('Type parts as a number, like 2 or 0.5.')
  .min(0, 'Parts cannot be below zero.')
  .max(1000)
  .required('Type parts as a number, like 2.')
const ratio = object({ medium: part, paint: part.moreThan(0, 'There is no paint in that ratio. Type at least 1.') })

export const bodyRatioSchema = object({
  body: string().oneOf(BODIES).required(),
  ratio: ratio.nullable().default(null),
})
export const paintRatioSchema = object({
  paintId: idSchema,
  ratio: ratio
    .shape({ note: string().trim().max(400).default('') })
    .nullable()
    .default(null),
})
export const schoolSchema = object({
  key: string().max(40).required(),
  school: object({
    lines: array(
      object({
        what: string()
          .oneOf(['paint', 'any medium', 'water', ...MEDIUM_KINDS] as const)
          .required(),
        parts: part,
      }),
    )
      .min(1)
      .max(8)
      .required(),
    steps: array(string().trim().max(300).required()).max(8).required(),
  })
    .nullable()
    .default(null),
})
export const bandsSchema = object({
  bands: array(
    object({
      name: string().trim().max(30).default(''),
      fromS: number().typeError('Type seconds as a number, like 2.').required(),
    }),
  )
    .max(10)
    .nullable()
    .default(null),
})
export const rackWarmthSchema = object({
  rackC: number()
    .typeError('Type how warm the rack stands in °C, like 20.')
    .integer('Whole degrees are enough.')
    .min(-10, 'Colder than −10 °C is no rack for paint.')
    .max(45, 'Warmer than 45 °C is no rack for paint.')
    .required('Type how warm the rack stands in °C, like 20.'),
})
