import { APART_USES } from '@/core/plan/amounts'
import { SURFACE_SHAPES } from '@/core/surface/stock'
import { array, number, object, string, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { TECHNIQUES } from '@/core/technique/techniques'

const mm = (what: string) =>
  number()
    .typeError(`Type ${what} as a number.`)
    .min(0, `${what} cannot be below zero.`)
    .max(20_000, `${what} is more than 20 m. Check the unit.`)

export const surfaceSchema = object({
  shape: string().oneOf(SURFACE_SHAPES).required(),
  lengthMm: mm('The length').default(0),
  widthMm: mm('The width').default(0),
  diameterMm: mm('The diameter').default(0),
  edgeMm: mm('The edge depth').required(),
  count: number()
    .integer()
    .min(1, 'Plan at least one piece.')
    .max(200, 'Two hundred pieces are the most in one plan.')
    .required(),
})

export const planSchema = object({
  id: idSchema,
  title: string()
    .trim()
    .max(120, 'The title is longer than 120 characters. Shorten it.')
    .required('Give the plan a title.'),
  technique: string()
    .oneOf(
      TECHNIQUES.map((t) => t.key),
      'Choose a technique.',
    )
    .required(),
  surface: surfaceSchema.required(),
  coverage: object({
    kind: string()
      .oneOf(['rule-of-28', 'film'] as const)
      .required(),
    wetMm: mm('The wet film').max(20, 'A wet film above 20 mm is not a film. Check the unit.').default(1.2),
    runOffShare: number().min(0).max(3, 'A run-off above 300 % is not one. Type a share like 0.25.').default(0.25),
  }).required(),
  /** The kind of surface on the shelf it is poured on, if it is from there. */
  surfaceStockId: idSchema.nullable().notRequired().default(null),
  surfaceCostMinor: number().integer().min(0).max(1e8, 'That price is too high to be one. Check it.').required(),
  cup: array(
    object({
      vesselId: idSchema,
      parts: number()
        .typeError('Type shares as numbers, like 2.')
        .min(0, 'A share cannot be below zero.')
        .max(10_000)
        .required(),
    }),
  )
    .max(24, 'Twenty-four bottles are the most in one cup plan.')
    .required(),
  apart: array(
    object({
      use: string().oneOf(APART_USES).required(),
      vesselId: idSchema,
      ul: number().integer().min(0).max(3e9, 'That is more than any vessel holds. Check the unit.').required(),
    }),
  )
    .max(12)
    .required(),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
})
export type PlanInput = InferType<typeof planSchema>
