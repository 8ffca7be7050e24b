import { WATER_SCHOOLS } from '@/core/mix/waterLimit'
import { UNIT_SYSTEMS } from '@/core/quantity/parse'
import { object, string } from 'yup'

export const studioSchema = object({
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the studio a name.'),
  units: string().oneOf(UNIT_SYSTEMS).required(),
  waterSchool: string().oneOf(WATER_SCHOOLS).required(),
  currency: string()
    .uppercase()
    .matches(/^[A-Z]{3}$/, 'A currency has three letters, like EUR.')
    .required('Type the currency, like EUR.'),
})
