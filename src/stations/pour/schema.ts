import { array, number, object, string, type InferType } from 'yup'

const id = string().uuid('That link is not one of Fika’s. Go back and choose again.').required()

export const pourSchema = object({
  requestId: id,
  planId: id,
  /** Made by the caller: the piece, and the vessel that stands for its surface. */
  pieceId: id,
  vesselId: id,
  takes: array(
    object({
      vesselId: id,
      ul: number().integer().min(0, 'An amount cannot be below zero.').max(3e9, 'That is more than any vessel holds. Check the unit.').required(),
    }),
  )
    .min(1, 'Nothing is poured. Set an amount for at least one bottle.')
    .required(),
})
export type PourInput = InferType<typeof pourSchema>
