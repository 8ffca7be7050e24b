import { number, object, string, type InferType } from 'yup'
import { DRIPS } from '@/core/quantity/dropSizes'
import { idSchema } from '../base/idSchema'

export const countDropsSchema = object({
  id: idSchema,
  name: string()
    .trim()
    .max(80, 'The name is longer than 80 characters. Shorten it.')
    .required('Give the dropper a name, like “glass pipette”.'),
  drip: string().oneOf(DRIPS, 'Choose what falls from it.').required('Choose what falls from it.'),
  count: number()
    .typeError('Type how many drops fell, like 50.')
    .integer('Drops are whole. Type how many fell, like 50.')
    .max(10_000, 'Nobody counts that many. Check the number.')
    .required('Type how many drops fell, like 50.'),
  massMg: number()
    .integer()
    .min(0)
    .max(1e7, 'That is too heavy for drops. Check the unit.')
    .required('Type what they weigh together, like 2.4 g.'),
  densityGPerMl: number()
    .typeError('Type the density in g/ml, like 1.2.')
    .min(0.5, 'No liquid here is lighter than 0.5 g/ml. Check the density.')
    .max(3, 'No liquid here is heavier than 3 g/ml. Check the density.')
    .required('Type the density in g/ml, like 1.2.'),
})
export type CountDrops = InferType<typeof countDropsSchema>

/** Which dropper is used for a liquid; null: none of the studio's own. */
export const takeDropperSchema = object({
  drip: string().oneOf(DRIPS).required(),
  id: idSchema.nullable().default(null),
})
export const dropDropperSchema = object({ id: idSchema })
