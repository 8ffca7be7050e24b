import { FLAG_RULES } from '@/core/paint/flags'
import { PAIR_VERDICTS } from '@/core/colour/pairVerdicts'
import { array, boolean, lazy, number, object, string, type InferType, type Schema } from 'yup'
import { ROLES } from '@/core/paint/properties'
import { idSchema } from '../base/idSchema'
import { revisionSchema } from '../base/revisionSchema'
import { FIELDS, shapesOf } from './fields'

const spectrum = () =>
  array(
    number().min(0, 'A reflectance lies between 0 and 1.').max(1.2, 'A reflectance lies between 0 and 1.').required(),
  )
    .length(36, 'A spectrum has 36 bands, 380 to 730 nm.')
    .nullable()
    .default(null)

export const flagSchema = object({
  role: string().oneOf(ROLES, 'Choose a role for the flag.').required('Choose a role for the flag.'),
  rule: string().oneOf(FLAG_RULES).default('avoid'),
  reason: string().trim().max(400, 'The reason is longer than 400 characters. Shorten it.').default(''),
})

export const paintSchema = object({
  ...shapesOf('paint'),
  kind: string()
    .oneOf(['paint'] as const)
    .required(),
  /** Spectra as a reader gave them, 36 bands. */
  readings: object({ masstone: spectrum(), tint: spectrum(), shade: spectrum() }).default({
    masstone: null,
    tint: null,
    shade: null,
  }),
  /** The white its tint and the black its shade were painted out with; null: nobody said. */
  paintedWith: object({
    whiteId: idSchema.nullable().default(null),
    blackId: idSchema.nullable().default(null),
  }).default({
    whiteId: null,
    blackId: null,
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
  ...shapesOf('medium'),
  kind: string()
    .oneOf(['medium', 'additive'] as const)
    .required(),
})

export const thinnerSchema = object({
  ...shapesOf('water'),
  // Water is all water, where nobody says otherwise.
  waterShare: FIELDS.waterShare.shape.default(1),
  kind: string()
    .oneOf(['water'] as const)
    .required(),
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
  revision: revisionSchema(0).required(),
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
