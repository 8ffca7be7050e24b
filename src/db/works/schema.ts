import { object, string, type InferType } from 'yup'
import { WORK_KINDS } from '@/core/plan/design'
import { daySchema } from '@/db/base/daySchema'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'
import { priceMinor } from '@/db/materials/fields'

export const workSchema = object({
  id: idSchema,
  /** As it was when it was opened; null: it is new. */
  revision: revisionSchema(1).nullable().defined(),
  kind: string().oneOf(WORK_KINDS, 'Choose what kind of work it is.').required(),
  title: string()
    .trim()
    .max(120, 'The title is longer than 120 characters. Shorten it.')
    .required('Give the work a title.'),
  dueOn: daySchema.nullable().default(null),
  forWhom: string().trim().max(120, 'Who it is for is longer than 120 characters. Shorten it.').default(''),
  agreedOn: daySchema.nullable().default(null),
  agreedText: string().trim().max(2000, 'What was agreed is longer than 2,000 characters. Shorten it.').default(''),
  priceMinor: priceMinor().nullable().default(null),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
})
export type WorkInput = InferType<typeof workSchema>
