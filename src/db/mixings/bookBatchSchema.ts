import { boolean, object, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { bottleFields } from './bottleFields'

export const bookBatchSchema = object({
  requestId: idSchema,
  batchId: idSchema,
  /** What carries it; null where the batch has no medium. */
  mediumId: idSchema.nullable().default(null),
  waterId: idSchema.nullable().default(null),
  /** The bottle the sample was poured out of; null: it was never booked, so it is taken from the drawer with the rest. */
  sampleFrom: idSchema.nullable().default(null),
  restHours: bottleFields.restHours,
  untrackedForRest: boolean().default(false),
})
export type BookBatch = InferType<typeof bookBatchSchema>
