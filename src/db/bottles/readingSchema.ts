import { READING_WAYS } from '@/core/consistency/levelTime'
import { array, boolean, number, object, string } from 'yup'
import { idSchema } from '@/db/base/idSchema'

/** A level time, s. */
export const seconds = number()
  .moreThan(0, 'A level time is above zero. Time the mound again.')
  .max(600, 'Longer than ten minutes is no level time. Time the mound again.')
  .required('Time the mound at least once.')

export const readBottleSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  levelTimeS: seconds,
  sigma: number().moreThan(0).max(3).required(),
  tries: array(seconds).max(9, 'Nine tries of one mound are the most.').default([]),
  how: string().oneOf(READING_WAYS).required(),
  nu: number().moreThan(0).max(1e6).nullable().default(null),
  runMm: number().min(5).max(400).nullable().default(null),
})
export const waterSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  waterId: idSchema,
  ul: number()
    .integer()
    .min(1, 'Type how much water went in, like 6 drops.')
    .max(1e8, 'That is more water than any bottle holds. Check the unit.')
    .required('Type how much water went in, like 6 drops.'),
  note: string().trim().max(200).default(''),
})
/** Drops at the table, after which the bottle is taken to be like the reference. */
export const correctSchema = waterSchema.shape({
  /** Level time of the reference as it is now, s. */
  likeS: number().moreThan(0).max(600).required(),
})
export const referenceSchema = object({ vesselId: idSchema, isReference: boolean().required() })
