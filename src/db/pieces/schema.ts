import { MOST_PIXELS } from '@/core/photo/sizes'
import { BY_PRODUCTS, CHOSEN_FATES, WAYS_UP } from '@/core/piece/fates'
import { FAULTS } from '@/core/piece/faults'
import { MOMENTS } from '@/core/piece/looks'
import { FINISH_COATS } from '@/core/plan/finish'
import { TOUR_SPOTS } from '@/core/run/events'
import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import { daySchema } from '@/db/base/daySchema'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'

/** What a piece is called and what became of it. */
export const pieceSchema = object({
  id: idSchema,
  revision: revisionSchema(1).required(),
  title: string()
    .trim()
    .max(120, 'The title is longer than 120 characters. Shorten it.')
    .required('Give the piece a title.'),
  /** What the maker would do another time. */
  nextTime: string().trim().max(400, 'Next time is longer than 400 characters. Shorten it.').default(''),
  up: number().oneOf(WAYS_UP, 'Choose which way up it hangs.').default(0),
  fate: string().oneOf(CHOSEN_FATES, 'Choose what becomes of it.').required(),
  fateOn: daySchema.nullable().default(null),
  /** Asked or paid, minor units. */
  priceMinor: number()
    .integer()
    .min(0, 'A price is zero or more. Type it like 120.')
    .max(1e11, 'That price is too large. Check what was typed.')
    .nullable()
    .default(null),
  fateTo: string().trim().max(120, 'The name is longer than 120 characters. Shorten it.').default(''),
  fateReason: string().trim().max(400, 'The reason is longer than 400 characters. Shorten it.').default(''),
})
export type PieceInput = InferType<typeof pieceSchema>

const spotsSchema = array(string().oneOf(TOUR_SPOTS, 'Tap spots on the board.').required())
  .max(TOUR_SPOTS.length)
  .default([])

/** One look at a piece. */
export const lookSchema = object({
  pieceId: idSchema,
  moment: string().oneOf(MOMENTS, 'Choose when you looked.').required(),
  /** Of the look as it was opened; 0 where there was none. */
  revision: revisionSchema(0).required(),
  words: string().max(8000, 'The words are longer than 8,000 characters. Shorten them.').default(''),
  rating: number().integer().min(1).max(5).nullable().default(null),
  weak: spotsSchema,
  best: string().oneOf(TOUR_SPOTS, 'Tap the best spot on the board.').nullable().default(null),
  faults: array(
    object({
      fault: string()
        .oneOf(
          FAULTS.map((f) => f.key),
          'Choose faults from the list.',
        )
        .required(),
      spots: spotsSchema,
      much: number().integer().min(1).max(3).default(2),
    }).required(),
  )
    .max(FAULTS.length, 'Name each fault once.')
    .default([]),
})
export type LookInput = InferType<typeof lookSchema>

/** Largest photo taken in, bytes and pixels; and how many a piece and a studio keep. Start values of Fika. */
export const PHOTO = { bytes: 20_000_000, pixels: MOST_PIXELS, side: 1600, ofPiece: 40, ofStudio: 10_000 } as const

/** A photo as it is sent: a form with the file in it. */
export const photoSchema = object({
  id: idSchema,
  pieceId: idSchema,
  moment: string().oneOf(MOMENTS, 'Choose when you looked.').required(),
  isRaked: boolean().default(false),
  photo: mixed<File>((v): v is File => v instanceof File && v.size > 0)
    .typeError('Choose a photo first.')
    .required('Choose a photo first.')
    .test('size', 'This photo is larger than 20 MB. Make it smaller, and try again.', (f) => f.size <= PHOTO.bytes),
})
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

/** What came of a pour beside its piece. */
export const byProductSchema = object({
  id: idSchema,
  pieceId: idSchema,
  kind: string().oneOf(BY_PRODUCTS, 'Choose what it is.').required(),
  words: string()
    .trim()
    .max(200, 'The words are longer than 200 characters. Shorten them.')
    .required('Say what it is, like two keyring discs.'),
  madeOn: daySchema.required('Say when it was made.'),
})
export type ByProductInput = InferType<typeof byProductSchema>
export const removeByProductSchema = object({ id: idSchema })

/** A coat of varnish or resin. */
export const finishCoatSchema = object({
  id: idSchema,
  pieceId: idSchema,
  kind: string().oneOf(FINISH_COATS, 'Choose varnish or resin.').required(),
  product: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Say which varnish or resin, with its maker.'),
  lots: string().trim().max(120, 'The lots are longer than 120 characters. Shorten them.').default(''),
  coats: number()
    .integer()
    .min(1, 'At least one coat.')
    .max(20, 'That is more than 20 coats. Check the number.')
    .required(),
  doneOn: daySchema.required('Say when it was done.'),
  cleanedSilicone: boolean().default(false),
  /** It was done before it was safe, and is noted all the same. */
  allTheSame: boolean().default(false),
  costMinor: number().integer().min(0).max(1e8, 'That price is too large. Check what was typed.').default(0),
  words: string().trim().max(400, 'The words are longer than 400 characters. Shorten them.').default(''),
})
export type FinishCoatInput = InferType<typeof finishCoatSchema>
export const removeFinishCoatSchema = object({ id: idSchema })
