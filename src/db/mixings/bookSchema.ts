import { array, boolean, number, object, string, type InferType } from 'yup'
import { idSchema } from '../base/idSchema'
import { revisionSchema } from '../base/revisionSchema'
import { ROLES } from '@/core/paint/properties'
import { bottleFields } from './bottleFields'
import { recipeShape } from './recipeShape'

export const bookSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  into: string()
    .oneOf(['new', 'top-up'] as const)
    .required(),
  label: string().trim().max(120, 'The name is longer than 120 characters. Shorten it.').default(''),
  role: string().oneOf(ROLES, 'Choose a role.').required('Choose a role.'),
  ...recipeShape,
  /** The version of a named colour it is mixed by. */
  formula: object({ id: idSchema, version: revisionSchema(1).required() })
    .nullable()
    .default(null),
  poured: array(
    object({
      materialId: idSchema,
      ul: number().integer().min(0).max(3e9, 'That is more than any vessel holds. Check the unit.').required(),
    }),
  ).required(),
  ...bottleFields,
  untrackedForRest: boolean().default(false),
  notes: string().max(4000).default(''),
})
export type BookInput = InferType<typeof bookSchema>
