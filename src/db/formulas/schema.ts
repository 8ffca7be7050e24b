import { array, boolean, number, object, string } from 'yup'
import { MEDIUM_KINDS } from '@/core/paint/properties'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'

const hex = string()
  .lowercase()
  .matches(/^#[0-9a-f]{6}$/, 'A colour is six digits, like #1f7a8c.')
  .nullable()
  .default(null)
const spectrum = array(number().min(0).max(1.2).required())
  .length(36, 'A spectrum has 36 bands.')
  .nullable()
  .default(null)

export const partSchema = object({
  paintId: idSchema,
  parts: number()
    .typeError('Type parts as numbers, like 2.')
    .moreThan(0, 'A part of a formula is above zero.')
    .max(10_000, 'Ten thousand parts are the most. Use smaller numbers for the same ratio.')
    .required('Type the parts.'),
})

export const saveFormulaSchema = object({
  requestId: idSchema,
  id: idSchema,
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the colour a name, so that it is found again.'),
  notes: string().trim().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
  standsInFor: idSchema.notRequired().nullable().default(null),
  note: string().trim().max(1000, 'The note is longer than 1,000 characters. Shorten it.').default(''),
  targetHex: hex,
  parts: array(partSchema)
    .min(1, 'Choose a paint and give it parts before you keep the formula.')
    .max(12, 'Twelve paints are the most in one formula.')
    .required(),
})

export const measureSchema = object({
  formulaId: idSchema,
  version: revisionSchema(1).required(),
  dryHex: hex,
  dryReflectance: spectrum,
  wetHex: hex,
  mediumKind: string().oneOf(MEDIUM_KINDS, 'Choose what carried it.').nullable().default(null),
  mediumShare: number().min(0).max(0.98, 'A mix that is all medium has no colour. Type a smaller share.').default(0),
})

export const archiveFormulaSchema = object({ id: idSchema, archived: boolean().required() })
