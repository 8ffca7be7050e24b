import { array, number, object } from 'yup'
import { idSchema } from '../base/idSchema'

const parts = number()
  .typeError('Type parts as a number, like 2 or 0.5.')
  .min(0, 'Parts cannot be below zero.')
  .max(10_000)
  .required()
const share = object({ materialId: idSchema, parts })

/** A recipe as it is mixed: the formula, what carries it, its water, and additives by drops for each 100 ml. */
export const recipeShape = {
  paints: array(share).max(12, 'Twelve paints are the most one mix can have here.').required(),
  paintParts: parts,
  mediums: array(share).max(3, 'At most three mediums: beyond that each one’s effect is lost.').required(),
  water: share.nullable().default(null),
  drops: array(share).max(6, 'Six additives are the most.').default([]),
}
