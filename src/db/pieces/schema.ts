import { PHOTO_STATES, CHOSEN_FATES, LOOK_MOMENTS } from '@/core/piece/fates'
import { array, mixed, number, object, string, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { FAULTS } from '@/core/piece/faults'

export const pieceSchema = object({
  id: idSchema,
  revision: number().integer().min(1).required(),
  title: string()
    .trim()
    .max(120, 'The title is longer than 120 characters. Shorten it.')
    .required('Give the piece a title.'),
  dryingNotes: string().max(8000, 'The notes are longer than 8,000 characters. Shorten them.').default(''),
  /** What the maker would do another time. */
  nextTime: string().trim().max(400, 'Next time is longer than 400 characters. Shorten it.').default(''),
  rating: number().integer().min(1).max(5).nullable().default(null),
  faults: array(
    string()
      .oneOf(
        FAULTS.map((f) => f.key),
        'Choose faults from the list.',
      )
      .required(),
  )
    .max(FAULTS.length)
    .default([]),
  fate: string().oneOf(CHOSEN_FATES, 'Choose what becomes of it.').required(),
})
export type PieceInput = InferType<typeof pieceSchema>

/** Largest photo taken in, bytes and pixels; and how many a piece and a studio keep. Start values of Fika. */
export const PHOTO = { bytes: 20_000_000, pixels: 40_000_000, side: 1600, ofPiece: 40, ofStudio: 10_000 } as const

/** A photo as it is sent: a form with the file in it. */
export const photoSchema = object({
  id: idSchema,
  pieceId: idSchema,
  state: string().oneOf(PHOTO_STATES).required(),
  photo: mixed<File>((v): v is File => v instanceof File && v.size > 0)
    .typeError('Choose a photo first.')
    .required('Choose a photo first.')
    .test('size', 'This photo is larger than 20 MB. Make it smaller, and try again.', (f) => f.size <= PHOTO.bytes),
})
export const lookedSchema = object({ pieceId: idSchema, moment: string().oneOf(LOOK_MOMENTS).required() })
export const removePhotoSchema = object({ id: idSchema })
export const reclaimSchema = object({
  requestId: idSchema,
  pourId: idSchema,
  jarId: idSchema,
  newJar: object({
    label: string()
      .trim()
      .max(120, 'The name is longer than 120 characters. Shorten it.')
      .required('Give the jar a name.'),
    capacityUl: number().integer().min(1).max(3e9).nullable().default(null),
    tareMg: number().integer().min(0).max(1e8).nullable().default(null),
  })
    .nullable()
    .default(null),
  netMg: number()
    .integer()
    .min(1, 'The jar weighs no more than before. Weigh it with the run-off in it.')
    .max(1e8, 'That is too heavy for a jar. Check the unit.')
    .required('Type what the jar weighs with the run-off, like 265 g.'),
})
