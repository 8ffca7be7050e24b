import { number, object, string, type InferType } from 'yup'
import { idSchema } from '@/session/idSchema'
import { ROLES } from '@/core/paint/properties'

export const takeOutSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  ul: number()
    .integer()
    .min(1, 'Type how much was taken, more than nothing.')
    .max(3e9)
    .required('Type how much was taken, like 20 ml.'),
  note: string().trim().max(1000).default(''),
})
export const weighInSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  grossMg: number()
    .integer()
    .min(0)
    .max(1e8, 'That is too heavy for a bottle. Check the unit.')
    .required('Type what the scale shows, like 164 g.'),
  tareMg: number()
    .integer()
    .min(0)
    .max(1e8, 'That is too heavy for an empty bottle. Check the tare.')
    .required('Type what the empty bottle weighs, like 28 g.'),
  named: string()
    .oneOf(['spilled', 'residue'] as const)
    .optional(),
})
export const discardSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  note: string().trim().max(1000).default(''),
})
export const editBottleSchema = object({
  vesselId: idSchema,
  label: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the bottle a name.'),
  role: string()
    .oneOf([...ROLES], 'Choose a role.')
    .required(),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
})
export const rackFilterSchema = object({
  q: string().trim().max(120).default(''),
  role: string().max(20).default(''),
  show: string().max(10).default(''),
  sort: string().max(10).default('newest'),
  page: number().integer().min(1).max(10_000).default(1),
})
export type RackFilterInput = InferType<typeof rackFilterSchema>
