import { array, number, object, string } from 'yup'
import { idSchema } from '../base/idSchema'
import { techniqueKey } from '../techniques/schema'
import { ROLES } from '@/core/paint/properties'
import { LOSSES } from '@/core/vessel/weighIn'

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
export const pourBackSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  movementId: idSchema,
  ul: number()
    .integer()
    .min(1, 'Type how much goes back, more than nothing.')
    .max(3e9, 'That is more than any vessel holds. Check the unit.')
    .required('Type how much goes back, like 20 ml.'),
})
const ofWeight = { requestId: idSchema, vesselId: idSchema }
/** What one bottle weighs on the scale. */
export const weightSchema = object({
  ...ofWeight,
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
})
export const weighInSchema = weightSchema.shape({ named: string().oneOf(LOSSES).optional() })
export const dropWeightSchema = object(ofWeight)
export const nameLossSchema = object({ ...ofWeight, named: string().oneOf(LOSSES).required('Say what happened.') })
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
  role: string().oneOf(ROLES, 'Choose a role.').required(),
  palette: string().trim().max(80, 'The palette’s name is longer than 80 characters. Shorten it.').default(''),
  technique: techniqueKey().nullable().default(null),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
})
export const codeSchema = object({
  code: string()
    .trim()
    .max(20, 'A code has five letters or six. Type it as it stands on the label.')
    .required('Type the code as it stands on the label.'),
})
const vesselUl = number()
  .integer()
  .min(1, 'Type how much, more than nothing.')
  .max(3e9, 'That is more than any vessel holds. Check the unit.')
const size = number().integer().min(1).max(3e9).nullable().default(null)
const tare = number()
  .integer()
  .min(0)
  .max(1e8, 'That is too heavy for an empty bottle. Check the tare.')
  .nullable()
  .default(null)
const label = string()
  .trim()
  .max(120, 'The name is longer than 120 characters. Shorten it.')
  .required('Give the bottle a name.')
export const splitSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  into: array(
    object({
      vesselId: idSchema,
      label,
      ul: vesselUl.required('Type how much goes into each bottle.'),
      capacityUl: size,
      tareMg: tare,
    }),
  )
    .min(1, 'Say into how many bottles.')
    .max(12, 'Twelve bottles at once are the most.')
    .required(),
})
export const mergeSchema = object({
  requestId: idSchema,
  intoId: idSchema,
  fromIds: array(idSchema).min(1, 'Choose at least one other bottle to pour into this one.').max(12).required(),
  restHours: number().min(0).max(336).default(12),
})
export const extendSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  totalUl: vesselUl.required('Type how much it should hold then.'),
  restHours: number().min(0).max(336).default(12),
})
export const addWaterSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  waterId: idSchema,
  ul: vesselUl
    .max(1e8, 'That is more water than any bottle holds. Check the unit.')
    .required('Type how much water went in, like 6 drops.'),
})
export const shakenSchema = object({ vesselId: idSchema })
export const stocktakeSchema = object({
  requestIds: array(idSchema)
    .min(1, 'Weigh at least one bottle first.')
    .max(500, 'Five hundred bottles at once are the most.')
    .required(),
})
