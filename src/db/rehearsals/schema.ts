import { array, mixed, number, object, string, type InferType } from 'yup'
import { SOURCES } from '@/core/plan/design'
import { LEAN } from '@/core/tilt/hand'
import { NU_RANGE } from '@/core/tilt/film'
import { LIP_RANGE_MM, NU_FACTORS, WEIGHED_PIECES } from '@/core/tilt/corrected'
import { idSchema } from '@/db/base/idSchema'
import { techniqueKey } from '@/db/techniques/schema'

/** Largest picture taken in, and how many rehearsals a plan keeps. Start values of Fika. */
export const REHEARSAL = { bytes: 4_000_000, ofPlan: 12 } as const

const share = () => number().min(0).max(1).required()
const amount = () => number().min(0).max(1e12).required()
const degrees = () => number().min(-LEAN.mostDeg).max(LEAN.mostDeg).required()

/** The hand and what was read, as one text inside the form. */
export const toldSchema = object({
  path: array(object({ t: number().min(0).max(LEAN.mostS).required(), x: degrees(), y: degrees() }).noUnknown())
    .min(1)
    .max(LEAN.mostPoints, 'This rehearsal is too long to be kept. Go again, and keep it sooner.')
    .required(),
  told: object({
    seconds: amount(),
    meanMm: amount(),
    leftUl: amount(),
    offUl: amount(),
    covered: share(),
    edgeWet: share(),
    colours: array(
      object({
        of: object({ kind: string().oneOf(SOURCES).required(), id: idSchema }).noUnknown(),
        hex: string()
          .matches(/^#[0-9a-f]{6}$/)
          .required(),
        label: string().max(200).required(),
        nu: number().min(NU_RANGE[0]).max(NU_RANGE[1]).optional(),
        kept: share(),
        seen: share(),
      }).noUnknown(),
    )
      .max(250)
      .required(),
    keepers: array(share()).max(50).required(),
  }).noUnknown(),
})
export type ToldInput = InferType<typeof toldSchema>

/** A rehearsal as it is sent: a form with the picture in it. */
export const rehearsalSchema = object({
  id: idSchema,
  planId: idSchema,
  surfaceId: idSchema,
  body: string().max(400_000, 'This rehearsal is too long to be kept. Go again, and keep it sooner.').required(),
  picture: mixed<File>((v): v is File => v instanceof File && v.size > 0)
    .typeError('The picture did not come along. Try again.')
    .required('The picture did not come along. Try again.')
    .test(
      'size',
      'The picture is too large to be kept. Rehearse on a smaller screen.',
      (f) => f.size <= REHEARSAL.bytes,
    ),
})
export const removeRehearsalSchema = object({ id: idSchema })

/** How rehearsals of a technique are corrected from now on. */
export const correctionSchema = object({
  technique: techniqueKey().required('Choose a technique.'),
  nuFactor: number().min(NU_FACTORS[0]).max(NU_FACTORS[1]).required(),
  lipMm: number().min(LIP_RANGE_MM[0]).max(LIP_RANGE_MM[1]).required(),
  pieces: number().integer().min(WEIGHED_PIECES.least).max(WEIGHED_PIECES.most).required(),
})
export const dropCorrectionSchema = object({ technique: techniqueKey().required('Choose a technique.') })
