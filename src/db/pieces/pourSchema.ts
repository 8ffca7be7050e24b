import { array, boolean, number, object, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'

export const pourSchema = object({
  requestId: idSchema,
  planId: idSchema,
  /** Made by the caller: the piece, and the vessel that stands for its surface. */
  pieceId: idSchema,
  vesselId: idSchema,
  takes: array(
    object({
      vesselId: idSchema,
      ul: number()
        .integer()
        .min(0, 'An amount cannot be below zero.')
        .max(3e9, 'That is more than any vessel holds. Check the unit.')
        .required(),
    }),
  )
    .min(1, 'Nothing is poured. Set an amount for at least one bottle.')
    .required(),
  /** What was poured beyond a bottle's books is booked as found in it. */
  findRest: boolean().optional(),
})
export type PourInput = InferType<typeof pourSchema>
