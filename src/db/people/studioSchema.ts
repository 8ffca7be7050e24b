import { WATER_SCHOOLS } from '@/core/mix/waterLimit'
import { UNIT_SYSTEMS } from '@/core/quantity/parse'
import { number, object, string } from 'yup'

export const studioSchema = object({
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the studio a name.'),
  units: string().oneOf(UNIT_SYSTEMS).required(),
  waterSchool: string().oneOf(WATER_SCHOOLS).required(),
  /** Only for a share of one's own; null: the start value. */
  waterShare: number()
    .typeError('Type the share of water as a percentage of the paint, like 25.')
    .min(0, 'The share of water lies between 0 and 100 %.')
    .max(1, 'The share of water lies between 0 and 100 %.')
    .nullable()
    .default(null),
  currency: string()
    .uppercase()
    .matches(/^[A-Z]{3}$/, 'A currency has three letters, like EUR.')
    .required('Type the currency, like EUR.'),
})
