import { object, string } from 'yup'

export const rulesSchema = object({
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the studio a name.'),
  units: string()
    .oneOf(['metric', 'us'] as const)
    .required(),
  waterSchool: string()
    .oneOf(['paint-30', 'thinned-40', 'share', 'binder'] as const)
    .required(),
  currency: string()
    .uppercase()
    .matches(/^[A-Z]{3}$/, 'A currency has three letters, like EUR.')
    .required('Type the currency, like EUR.'),
})
