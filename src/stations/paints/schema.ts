import { array, boolean, number, object, string, type InferType } from 'yup'
import { idSchema } from '@/session/idSchema'
import {
  BODIES,
  isPigmentName,
  MATERIAL_KINDS,
  MEDIUM_KINDS,
  OPACITIES,
  ROLES,
  SHEENS,
  STRENGTHS,
} from '@/core/paint/properties'

const short = (what: string) => string().trim().max(120, `${what} is longer than 120 characters. Shorten it.`)

export const avoidSchema = object({
  role: string()
    .oneOf([...ROLES], 'Choose a role to avoid it in.')
    .required('Choose a role to avoid it in.'),
  reason: string().trim().max(400, 'The reason is longer than 400 characters. Shorten it.').default(''),
})

/** What paints, mediums and additives share, in the units the database keeps. */
const shared = {
  maker: short('The maker').default(''),
  line: short('The line').default(''),
  name: short('The name').required('Type a name.'),
  densityGPerMl: number()
    .typeError('Type the density in g/ml, like 1.2.')
    .min(0.5, 'A density below 0.5 g/ml is lighter than any paint. Weigh a known volume again.')
    .max(6, 'A density above 6 g/ml is heavier than any paint. Weigh a known volume again.')
    .required('Type the density in g/ml, or leave the default of the body.'),
  solids: number().min(0).max(1, 'Volume solids are a share between 0 and 1.').required(),
  containerUl: number()
    .integer()
    .min(1, 'A container holds more than nothing. Type its size, like 60 ml.')
    .max(3e9, 'That container is larger than any Fika can book. Check the size.')
    .nullable()
    .default(null),
  priceMinor: number()
    .integer()
    .min(0)
    .max(1e8, 'That price is too high to be one. Check it.')
    .nullable()
    .default(null),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
}

export const paintSchema = object({
  ...shared,
  kind: string()
    .oneOf(['paint'] as const)
    .required(),
  body: string()
    .oneOf([...BODIES], `Body is one of: ${BODIES.join(', ')}.`)
    .required('Choose the body.'),
  opacity: string()
    .oneOf([...OPACITIES], `Opacity is one of: ${OPACITIES.join(', ')}.`)
    .required('Choose the opacity.'),
  sheen: string()
    .oneOf([...SHEENS], `Sheen is one of: ${SHEENS.join(', ')}.`)
    .required('Choose the sheen.'),
  strength: string()
    .oneOf([...STRENGTHS], `Strength is one of: ${STRENGTHS.join(', ')}.`)
    .default('normal'),
  pigments: array(
    string()
      .required()
      .test(
        'pigment',
        ({ value }) => `“${value}” is not a Colour Index name. Write it like PB15:3 or PW6.`,
        (v) => isPigmentName(v),
      ),
  )
    .max(12, 'Twelve pigments are the most a paint can have here.')
    .default([]),
  swatchHex: string()
    .lowercase()
    .matches(/^#[0-9a-f]{6}$/, 'The swatch is a colour of six digits, like #1f7a8c.')
    .required('Pick the swatch colour.'),
  avoid: array(avoidSchema).max(ROLES.length).default([]),
})

export const mediumSchema = object({
  ...shared,
  kind: string()
    .oneOf(['medium', 'additive'] as const)
    .required(),
  mediumKind: string()
    .oneOf([...MEDIUM_KINDS], `A medium is one of: ${MEDIUM_KINDS.join(', ')}.`)
    .required('Choose what kind of medium it is.'),
  waterShare: number().min(0).max(1, 'The water share is between 0 and 1.').default(0),
})

export type PaintInput = InferType<typeof paintSchema>
export type MediumInput = InferType<typeof mediumSchema>
export type MaterialInput = PaintInput | MediumInput

export const saveSchema = object({
  id: idSchema,
  /** Revision the form was opened with; 0 for a new one. */
  revision: number().integer().min(0).required(),
  material: object().required(),
})
export const archiveSchema = object({ id: idSchema, archived: boolean().required() })
export const buySchema = object({
  requestId: idSchema,
  materialId: idSchema,
  lotId: idSchema,
  vesselId: idSchema,
  label: short('The label').required('Give the container a label, like “tube 2”.'),
  sizeUl: shared.containerUl.nonNullable().required('Type the size, like 60 ml.'),
  priceMinor: shared.priceMinor,
})
export const filterSchema = object({
  q: string().trim().max(120).default(''),
  kind: string()
    .oneOf([...MATERIAL_KINDS])
    .default('paint'),
  maker: string().max(120).default(''),
  body: string().max(20).default(''),
  opacity: string().max(20).default(''),
  sheen: string().max(20).default(''),
  pigment: string().max(12).default(''),
  archived: string().max(3).default(''),
  view: string().max(10).default('cards'),
})
export type PaintFilter = InferType<typeof filterSchema>
