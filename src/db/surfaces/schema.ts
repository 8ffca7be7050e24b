import { SURFACE_SHAPES } from '@/core/surface/stock'
import { number, object, string, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { priceMinor } from '@/db/materials/fields'

export const SURFACE_KINDS = [
  'stretched canvas',
  'deep canvas',
  'canvas board',
  'panel',
  'round',
  'tile',
  'vase',
  'tray',
  'other',
] as const
export const GRADES = ['practice', 'sale'] as const

const mm = (what: string) =>
  number()
    .typeError(`Type ${what}, like 40 cm.`)
    .min(0, `${what} cannot be below zero.`)
    .max(20_000, `${what} is more than 20 m. Check the unit.`)
    .default(0)

/** A kind of surface on the shelf. A vase is kept by its height and girth as a rectangle. */
export const surfaceSchema = object({
  id: idSchema,
  kind: string().oneOf(SURFACE_KINDS, 'Choose what kind of surface it is.').required(),
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the surface a name.'),
  shape: string().oneOf(SURFACE_SHAPES).required(),
  lengthMm: mm('The length'),
  widthMm: mm('The width'),
  diameterMm: mm('The diameter'),
  edgeMm: mm('The edge depth'),
  grade: string().oneOf(GRADES, 'Choose practice or sale.').required(),
})
export const moveSchema = object({
  requestId: idSchema,
  surfaceId: idSchema,
  count: number()
    .typeError('Type how many, like 5.')
    .integer('Count whole pieces.')
    .min(-10_000)
    .max(10_000, 'That is more than a pack holds. Check the count.')
    .test('some', 'Type how many, other than none.', (n) => n !== 0)
    .required('Type how many, like 5.'),
  /** Paid for the pack. */
  priceMinor: priceMinor().nullable().default(null),
  note: string().trim().max(400, 'The note is longer than 400 characters. Shorten it.').default(''),
})
export const putAwaySchema = object({ id: idSchema })
export type SurfaceInput = InferType<typeof surfaceSchema>
export type MoveInput = InferType<typeof moveSchema>
