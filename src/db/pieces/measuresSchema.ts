import { array, boolean, number, object, string, tuple, type InferType } from 'yup'
import { SIGHTS } from '@/core/photo/lookHere'
import { METRICS } from '@/core/photo/trust'
import { idSchema } from '@/db/base/idSchema'

/** Most cells that are kept of one photo: a face full of specks has no more that anybody could look at. */
export const MOST_CELLS = 3000

const share = () => number().min(0).max(1).required()
const mm = (most = 10_000) => number().min(0).max(most).required()
const place = () => tuple([mm(), mm()]).required()
const lab = () => tuple([number().required(), number().required(), number().required()]).required()
const shares = (length: number) => array(share()).length(length).required()
const says = () => string().max(300)

/** Four corners as shares of a picture: top left, top right, bottom right, bottom left. */
export const cornersSchema = array(tuple([share(), share()]).required())
  .length(4, 'Put all four corners on the piece.')
  .required('Put the four corners on the piece.')

/** What was measured from a photo, as src/core/photo/measurePhoto.ts gives it. */
export const measuresSchema = object({
  mmPerPx: number().moreThan(0).max(100).required(),
  faceMm2: mm(1e8),
  hasCard: boolean().required(),
  colours: array(
    object({
      hex: string()
        .matches(/^#[0-9a-f]{6}$/i)
        .required(),
      lab: lab(),
      seen: share(),
    }).required(),
  )
    .min(1)
    .max(30)
    .required(),
  quiet: array(share()).max(30).required(),
  cells: array(
    object({
      at: place(),
      diameterMm: mm(),
      colour: number().integer().min(0).max(29).required(),
      halo: number().integer().min(0).max(29).nullable().defined(),
    }).required(),
  )
    .max(MOST_CELLS)
    .required(),
  lacing: object({ lengthMm: mm(1e7), widthMm: mm(100) }).required(),
  composition: object({ values: shares(5), contrast: shares(9) }).required(),
  lookHere: array(object({ sight: string().oneOf(SIGHTS).required(), at: place(), sizeMm: mm() }).required())
    .max(60)
    .required(),
  trust: object({
    edgePx: number().min(0).max(1000).required(),
    glare: share(),
    unexplained: number().min(0).max(1000).required(),
    not: object(
      Object.fromEntries(METRICS.map((m) => [m, says()])) as Record<(typeof METRICS)[number], ReturnType<typeof says>>,
    ).required(),
  }).required(),
})

/** A photo that was laid flat and measured. */
export const measuredSchema = object({ photoId: idSchema, corners: cornersSchema, measures: measuresSchema.required() })
export type MeasuredInput = InferType<typeof measuredSchema>
