import { array, boolean, lazy, mixed, number, object, string, tuple, type AnyObjectSchema, type Schema } from 'yup'
import { LOOKS } from '@/core/consistency/wanted'
import { PLAN_STEPS } from '@/core/schedule/planSteps'
import { ROUNDINGS, SOURCES, WAYS_IN } from '@/core/plan/design'
import { FINISHES } from '@/core/plan/finish'
import { COAT_ROLES } from '@/core/plan/uses'
import { COVERAGE_KINDS, type CoverageSchool } from '@/core/surface/coverage'
import { SHAPES, type ShapeKind } from '@/core/surface/shapes'
import { CUP_KINDS } from '@/core/technique/technique'
import { idSchema } from '@/db/base/idSchema'

/** A length of up to 20 m, mm. */
const mm = (what: string) =>
  number()
    .typeError(`Type ${what.toLowerCase()} as a number.`)
    .min(0, `${what} cannot be below zero.`)
    .max(20_000, `${what} is more than 20 m. Check the unit.`)
    .required()
const whole = (what: string, most: number) =>
  number()
    .typeError(`Type ${what.toLowerCase()} as a whole number.`)
    .integer(`Type ${what.toLowerCase()} as a whole number.`)
    .min(1, `${what}: at least one.`)
    .max(most, `${what}: ${most} are the most.`)
    .required()
const volumeUl = () => number().integer().min(0).max(3e9, 'That is more than any vessel holds. Check the unit.')
const minor = () => number().integer().min(0).max(1e8, 'That price is too high to be one. Check it.').required()
const share = (what: string) =>
  number().min(0, `${what} cannot be below zero.`).max(1, `${what} is more than the whole.`).required()
const coordinate = () => number().min(-20_000).max(20_000).required()
const point = () => tuple([coordinate(), coordinate()]).required()
const points = (most: number) => array(point()).max(most, `A line has at most ${most} points.`).required()
const nullableId = () => idSchema.nullable().defined()

const SHAPE_FIELDS: Readonly<Record<ShapeKind, Record<string, Schema>>> = {
  rectangle: { lengthMm: mm('The length'), widthMm: mm('The width') },
  round: { diameterMm: mm('The diameter') },
  ellipse: { lengthMm: mm('The length'), widthMm: mm('The width') },
  polygon: { sides: whole('Corners', 24), acrossMm: mm('The width across') },
  tiles: {
    lengthMm: mm('The length'),
    widthMm: mm('The width'),
    across: whole('Tiles across', 50),
    down: whole('Tiles down', 50),
    gapMm: mm('The gap'),
  },
  profile: {
    points: array(object({ heightMm: mm('A height'), radiusMm: mm('A radius') }))
      .min(2, 'A profile needs at least two points.')
      .max(200, 'A profile has at most 200 points.')
      .required(),
  },
  area: { areaMm2: number().min(0, 'The area cannot be below zero.').max(4e8).required() },
}

const byKind = <K extends string>(key: string, kinds: Readonly<Record<K, AnyObjectSchema>>, sentence: string) =>
  lazy((value: unknown): Schema => {
    const kind = (value as Record<string, unknown> | null | undefined)?.[key]
    return typeof kind === 'string' && Object.hasOwn(kinds, kind)
      ? kinds[kind as K].noUnknown()
      : mixed().test('kind', sentence, () => false)
  })

/** A face with its edge depth and count, of any shape. */
export const surfaceSchema = byKind(
  'shape',
  Object.fromEntries(
    SHAPES.map((shape) => [
      shape,
      object({
        shape: string().oneOf([shape]).required(),
        ...SHAPE_FIELDS[shape],
        edgeMm: mm('The edge depth'),
        count: number()
          .integer()
          .min(1, 'Plan at least one piece.')
          .max(200, 'Two hundred pieces are the most in one plan.')
          .required(),
      }),
    ]),
  ) as unknown as Record<ShapeKind, AnyObjectSchema>,
  'Choose the shape of the surface.',
)

const SCHOOLS: Readonly<Record<CoverageSchool['kind'], AnyObjectSchema>> = {
  'rule-of-28': object({ kind: string().oneOf(COVERAGE_KINDS).required() }),
  film: object({
    kind: string().oneOf(COVERAGE_KINDS).required(),
    wetMm: mm('The wet film').max(20, 'A wet film above 20 mm is not a film. Check the unit.'),
    runOffShare: number().min(0).max(3, 'A run-off above 300 % is not one. Type a share like 0.25.').required(),
  }),
  learned: object({ kind: string().oneOf(COVERAGE_KINDS).required(), factor: number().min(0.05).max(20).required() }),
  own: object({ kind: string().oneOf(COVERAGE_KINDS).required(), ul: volumeUl().required() }),
}

const ofSchema = object({ kind: string().oneOf(SOURCES).required(), id: idSchema })
  .nullable()
  .defined()
  .noUnknown()

const plannedSurface = object({
  id: idSchema,
  name: string().trim().max(120, 'The name of a surface is longer than 120 characters. Shorten it.').default(''),
  surface: surfaceSchema,
  cover: share('The share covered'),
  free: points(120).nullable().defined(),
  split: object({ turnDeg: number().min(-360).max(360).required(), offsetMm: coordinate() })
    .nullable()
    .defined()
    .noUnknown(),
  feeds: nullableId(),
  /** The kind of surface on the shelf it is poured on, if it is from there. */
  stockId: nullableId(),
  eachMinor: minor(),
}).noUnknown()

const layer = object({
  id: idSchema,
  of: ofSchema,
  share: number()
    .typeError('Type shares as numbers, like 2.')
    .min(0, 'A share cannot be below zero.')
    .max(10_000, 'A share of more than 10,000 is too many parts. Use smaller numbers, like 2 : 1.')
    .nullable()
    .defined(),
  ul: volumeUl().nullable().defined(),
  how: string().oneOf(WAYS_IN).required(),
}).noUnknown()

const cup = object({
  id: idSchema,
  kind: string().oneOf(CUP_KINDS, 'Choose how the cup is poured.').required(),
  on: nullableId(),
  sizeUl: volumeUl().min(1000, 'A cup holds at least a millilitre.').nullable().defined(),
  copies: whole('Cups alike', 60),
  ul: volumeUl().nullable().defined(),
  at: point(),
  turnDeg: number().min(-720).max(720).required(),
  path: points(60),
  layers: array(layer).max(40, 'Forty layers are the most in one cup.').required(),
}).noUnknown()

const coat = object({
  id: idSchema,
  role: string().oneOf(COAT_ROLES, 'Choose what the coat is for.').required(),
  of: ofSchema,
  on: nullableId(),
  half: number()
    .oneOf([0, 1] as const)
    .nullable()
    .defined(),
  share: number()
    .min(0, 'A share cannot be below zero.')
    .max(5, 'A coat of five times the face is not one.')
    .required(),
  wetMm: mm('The wet film').max(20, 'A wet film above 20 mm is not a film. Check the unit.'),
  ul: volumeUl().nullable().defined(),
  path: points(60),
}).noUnknown()

/** A whole design as it comes in; what points at something points at what is there. */
export const designSchema = object({
  surfaces: array(plannedSurface)
    .min(1, 'A plan wants at least one surface.')
    .max(24, 'Twenty-four surfaces are the most in one plan.')
    .required(),
  school: byKind('kind', SCHOOLS, 'Choose how the amount is found.'),
  rounding: string().oneOf(ROUNDINGS).required(),
  cups: array(cup).max(40, 'Forty cups are the most in one plan.').required(),
  coats: array(coat).max(40, 'Forty coats are the most in one plan.').required(),
  look: string().oneOf(LOOKS).required(),
  finish: string().oneOf(FINISHES).required(),
  accents: boolean().required(),
  finishMinor: minor(),
  disposablesMinor: minor(),
  savedShare: share('The share of the run-off that is saved'),
  hours: object(
    Object.fromEntries(PLAN_STEPS.map((s) => [s, number().min(0).max(10_000, 'That is more than a year of hours.')])),
  ).noUnknown(),
  done: array(string().oneOf(PLAN_STEPS).required()).max(PLAN_STEPS.length).required(),
})
  .noUnknown()
  .required()
