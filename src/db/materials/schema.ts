import { FLAG_RULES } from '@/core/paint/flags'
import { PAIR_VERDICTS } from '@/core/colour/pairVerdicts'
import { array, boolean, lazy, number, object, string, type InferType, type Schema } from 'yup'
import { EFFECTS } from '@/core/mix/mediumEffects'
import { THINNERS } from '@/core/mix/thinners'
import { LIGHTFASTNESS } from '@/core/paint/pigments'
import { BODIES, isPigmentName, MEDIUM_KINDS, OPACITIES, ROLES, SHEENS, STRENGTHS } from '@/core/paint/properties'
import { idSchema } from '@/db/base/idSchema'

const short = (what: string) => string().trim().max(120, `${what} is longer than 120 characters. Shorten it.`)
const hex = (what: string) =>
  string()
    .lowercase()
    .matches(/^#[0-9a-f]{6}$/, `${what} is a colour of six digits, like #1f7a8c.`)
const optionalHex = (what: string) => hex(what).nullable().default(null)

const spectrum = () =>
  array(
    number().min(0, 'A reflectance lies between 0 and 1.').max(1.2, 'A reflectance lies between 0 and 1.').required(),
  )
    .length(36, 'A spectrum has 36 bands, 380 to 730 nm.')
    .nullable()
    .default(null)

export const volumeUl = (empty: string) =>
  number().integer().min(1, empty).max(3e9, 'That container is larger than any Fika can book. Check the size.')
export const priceMinor = () =>
  number().integer().min(0, 'A price cannot be below zero.').max(1e8, 'That price is too high to be one. Check it.')

export const flagSchema = object({
  role: string().oneOf(ROLES, 'Choose a role for the flag.').required('Choose a role for the flag.'),
  rule: string().oneOf(FLAG_RULES).default('avoid'),
  reason: string().trim().max(400, 'The reason is longer than 400 characters. Shorten it.').default(''),
})

/** What paints, mediums and thinners share, in the units the database keeps. */
const shared = {
  maker: short('The maker').default(''),
  line: short('The line').default(''),
  name: short('The name').required('Type a name.'),
  densityGPerMl: number()
    .typeError('Type the density in g/ml, like 1.2.')
    .min(0.5, 'A density below 0.5 g/ml is lighter than any paint. Weigh a known volume again.')
    .max(6, 'A density above 6 g/ml is heavier than any paint. Weigh a known volume again.')
    .required('Type the density in g/ml, or leave the default of the body.'),
  solids: number()
    .typeError('Type the volume solids as a share, like 0.32.')
    .min(0, 'Volume solids are a share between 0 and 1.')
    .max(1, 'Volume solids are a share between 0 and 1.')
    .required(),
  containerUl: volumeUl('A container holds more than nothing. Type its size, like 60 ml.').nullable().default(null),
  priceMinor: priceMinor().nullable().default(null),
  lowUl: volumeUl('The low line lies above nothing. Type it like 30 ml, or leave it empty.').nullable().default(null),
  supplier: short('The supplier').default(''),
  barcode: string().trim().max(60, 'The barcode is longer than 60 characters. Check it.').default(''),
  tags: array(short('A tag').required()).max(20, 'Twenty tags are the most a paint can have here.').default([]),
  discontinued: boolean().default(false),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
}

export const paintSchema = object({
  ...shared,
  kind: string()
    .oneOf(['paint'] as const)
    .required(),
  body: string()
    .oneOf(BODIES, `Body is one of: ${BODIES.join(', ')}.`)
    .required('Choose the body.'),
  opacity: string()
    .oneOf(OPACITIES, `Opacity is one of: ${OPACITIES.join(', ')}.`)
    .required('Choose the opacity.'),
  /** Measured; sets the opacity class where it is given. */
  contrastRatio: number()
    .typeError('Type the contrast ratio as a share, like 0.97.')
    .min(0, 'A contrast ratio lies between 0 and 1.')
    .max(1, 'A contrast ratio lies between 0 and 1.')
    .nullable()
    .default(null),
  sheen: string()
    .oneOf(SHEENS, `Sheen is one of: ${SHEENS.join(', ')}.`)
    .required('Choose the sheen.'),
  sheenStrength: number().oneOf([1, 2, 3], 'Sheen strength is 1 (faint), 2 (usual) or 3 (strong).').default(2),
  strength: string()
    .oneOf(STRENGTHS, `Strength is one of: ${STRENGTHS.join(', ')}.`)
    .default('normal'),
  lightfastness: string()
    .oneOf(['', ...LIGHTFASTNESS], `Lightfastness is one of: ${LIGHTFASTNESS.join(', ')}, or empty.`)
    .default(''),
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
  /** Masstone, dry. */
  swatchHex: hex('The swatch').required('Pick the swatch colour.'),
  tintHex: optionalHex('The tint'),
  /** Share of white in the tint, by volume. */
  tintWhiteShare: number()
    .typeError('Type the share of white in the tint, like 0.9.')
    .moreThan(0, 'A tint holds some white: its share lies between 0 and 1.')
    .lessThan(1, 'A tint holds some paint: its share of white lies between 0 and 1.')
    .nullable()
    .default(null),
  shadeHex: optionalHex('The shade'),
  /** Share of black in the shade, by volume. */
  shadeBlackShare: number()
    .typeError('Type the share of black in the shade, like 0.2.')
    .moreThan(0, 'A shade holds some black: its share lies between 0 and 1.')
    .lessThan(1, 'A shade holds some paint: its share of black lies between 0 and 1.')
    .nullable()
    .default(null),
  wetHex: optionalHex('The wet colour'),
  /** Spectra as a reader gave them, 36 bands. */
  readings: object({ masstone: spectrum(), tint: spectrum(), shade: spectrum() }).default({
    masstone: null,
    tint: null,
    shade: null,
  }),
  flags: array(flagSchema).max(ROLES.length).default([]),
  /** Paints that can be used in its place, by the maker's own word. */
  substitutes: array(idSchema).max(20, 'Twenty substitutes are the most.').default([]),
  /** The formula that stands in for it once it is discontinued. */
  standIn: array(
    object({
      paintId: idSchema,
      parts: number()
        .typeError('Type parts as numbers, like 2.')
        .moreThan(0, 'A part of a formula is above zero.')
        .max(10_000)
        .required('Type the parts.'),
    }),
  )
    .max(8, 'Eight paints are the most in a formula here.')
    .default([]),
})

export const mediumSchema = object({
  ...shared,
  kind: string()
    .oneOf(['medium', 'additive'] as const)
    .required(),
  mediumKind: string()
    .oneOf(MEDIUM_KINDS, `A medium is one of: ${MEDIUM_KINDS.join(', ')}.`)
    .required('Choose what kind of medium it is.'),
  waterShare: number()
    .typeError('Type the water share as a number, like 0.4.')
    .min(0, 'The water share is between 0 and 1.')
    .max(1, 'The water share is between 0 and 1.')
    .default(0),
  /** Ten effects, 0–3; null: the usual ones of its kind. */
  effects: array(
    number().min(0, 'An effect lies between 0 and 3.').max(3, 'An effect lies between 0 and 3.').required(),
  )
    .length(EFFECTS.length, 'A profile has ten effects.')
    .nullable()
    .default(null),
})

export const thinnerSchema = object({
  ...shared,
  kind: string()
    .oneOf(['water'] as const)
    .required(),
  thinner: string()
    .oneOf(THINNERS, `A thinner is one of: ${THINNERS.join(', ')}.`)
    .required('Choose the kind of thinner.'),
  waterShare: number().min(0).max(1, 'The water share is between 0 and 1.').default(1),
})

export type PaintInput = InferType<typeof paintSchema>
export type MediumInput = InferType<typeof mediumSchema>
export type ThinnerInput = InferType<typeof thinnerSchema>
export type MaterialInput = PaintInput | MediumInput | ThinnerInput

/** The schema of a kind of material. */
export const schemaOf = (kind: unknown) =>
  kind === 'paint' ? paintSchema : kind === 'water' ? thinnerSchema : mediumSchema

export const saveSchema = object({
  id: idSchema,
  /** Revision the form was opened with; 0 for a new one. */
  revision: number().integer().min(0).required(),
  material: lazy((m: { kind?: unknown } | null | undefined) =>
    schemaOf(m?.kind).required(),
  ) as unknown as Schema<MaterialInput>,
})
export const archiveSchema = object({ id: idSchema, archived: boolean().required() })
export const currentSchema = object({ id: idSchema })
export const undoChangeSchema = object({ materialId: idSchema, changeId: idSchema })
export const pairNoteSchema = object({
  paintId: idSchema,
  otherId: idSchema.notOneOf([], '').test('other', 'Choose two different paints.', function (other) {
    return other !== (this.parent as { paintId?: string }).paintId
  }),
  /** Null takes the note back. */
  verdict: string().oneOf(PAIR_VERDICTS, 'Choose what you found of the two.').nullable().default(null),
  note: string().trim().max(400, 'The note is longer than 400 characters. Shorten it.').default(''),
})
