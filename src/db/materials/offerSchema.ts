import { array, number, object, string, type InferType } from 'yup'
import { daySchema } from '@/db/base/daySchema'
import { idSchema } from '@/db/base/idSchema'
import { OFFER_KINDS, type Offer } from '@/core/purchase/offers'
import { priceMinor, volumeUl } from './fields'

const label = string().trim().max(120, 'The label is longer than 120 characters. Shorten it.')
const size = volumeUl('Type the size, like 60 ml.').required('Type the size, like 60 ml.')
const massMg = (what: string) =>
  number()
    .typeError(`Type ${what} in grams.`)
    .integer()
    .min(0, `${what} cannot be below zero.`)
    .max(1e8, `${what} is more than 100 kg. Check the unit.`)
    .required(`Type ${what} in grams.`)

/** An offer's terms, in the shape the core computes with. */
const termsSchema = object({
  kind: string().oneOf(OFFER_KINDS, 'Choose what kind of offer it is.').required(),
  percent: number().typeError('Type the percent off as a number.').optional(),
  get: number().typeError('Type the numbers of the offer, like 3 for 2.').integer().optional(),
  pay: number().typeError('Type the numbers of the offer, like 3 for 2.').integer().optional(),
  count: number().typeError('Type how many are bundled.').integer().max(1000).optional(),
  priceMinor: priceMinor().optional(),
})

/** The core's offer of a form's terms; `checkOffer` says what is wrong with it. */
export const offerOf = (terms: InferType<typeof termsSchema>): Offer => {
  switch (terms.kind) {
    case 'percent':
    case 'coupon':
      return { kind: terms.kind, percent: terms.percent ?? 0 }
    case 'n-for-m':
      return { kind: terms.kind, get: terms.get ?? 0, pay: terms.pay ?? 0 }
    case 'bundle':
      return { kind: terms.kind, count: terms.count ?? 0, priceMinor: terms.priceMinor ?? 0 }
    default:
      return { kind: 'list' }
  }
}

/** One purchase: some containers, of one material or a boxed set of many, for one sum. */
export const buySchema = object({
  requestId: idSchema,
  /** Paid for all of them; null where it is not known. */
  totalMinor: priceMinor().nullable().default(null),
  containers: array(
    object({
      materialId: idSchema,
      lotId: idSchema,
      vesselId: idSchema,
      label: label.required('Give each container a label, like “tube 2”.'),
      sizeUl: size,
      /** List price, or the volume where it is not known: the sum is split by it. */
      worth: number().min(0).max(1e12).default(0),
    }),
  )
    .min(1, 'Nothing was bought. Add at least one container.')
    .max(200, 'Two hundred containers are the most in one purchase.')
    .required(),
  note: string().trim().max(400).default(''),
})
export const weighSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  grossMg: massMg('the weight on the scale'),
  tareMg: massMg('the weight of the empty container'),
  lost: string()
    .oneOf(['used', 'spilled'] as const)
    .default('used'),
})
export const finishSchema = object({
  requestId: idSchema,
  vesselId: idSchema,
  residueUl: number()
    .integer()
    .min(0, 'Residue cannot be below zero.')
    .max(3e9)
    .required('Type how much sticks in it, or 0 ml.'),
})
export const lotSchema = object({ lotId: idSchema })

export const offerSchema = object({
  id: idSchema,
  materialId: idSchema,
  supplier: string().trim().max(120, 'The supplier is longer than 120 characters. Shorten it.').default(''),
  sizeUl: size,
  listMinor: priceMinor().required('Type the list price of one, like 9.90.'),
  terms: termsSchema.required(),
  startsOn: daySchema.required('Type the day it began, like 2026-05-31.'),
  endsOn: daySchema.nullable().default(null),
})
export const dropOfferSchema = object({ id: idSchema })
export type OfferInput = InferType<typeof offerSchema>
