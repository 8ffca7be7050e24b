import { array, boolean, lazy, mixed, number, object, string, tuple, type InferType, type ObjectShape } from 'yup'
import { READING_WAYS } from '@/core/consistency/levelTime'
import { WAYS_IN } from '@/core/plan/design'
import { COAT_ROLES } from '@/core/plan/uses'
import { BOTHERS, REMEDY_KEYS } from '@/core/run/bothers'
import { CORNER_NAMES, EDGE_NAMES } from '@/core/run/corners'
import { AMOUNT_WAYS, DEEDS, RUN_STEPS, TOUR_SPOTS, type RunEvent, type RunEventKind } from '@/core/run/events'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'
import { seconds } from '@/db/bottles/readingSchema'
import { surfaceSchema } from '@/db/plans/designSchema'
import { PHOTO } from '@/db/pieces/schema'

const word = <T extends string>(list: readonly T[]) =>
  string().oneOf(list, 'Fika does not know that word. Reload the page.').required()
const place = () => number().min(-20_000).max(20_000).required()
const point = () => tuple([place(), place()]).required()
const grams = () => number().typeError('Type what the scale shows, like 265 g.').min(-1e6).max(1e6)
const ul = (what: string) =>
  number().integer().min(1, what).max(3e9, 'That is more than any vessel holds. Check the unit.').required(what)
const eventNumber = () => revisionSchema(1).required()
const nullableId = () => idSchema.nullable().defined()

/** A run from a plan, or of what is typed. */
export const beginRunSchema = object({
  id: idSchema,
  planId: nullableId(),
  title: string().trim().max(112, 'The title is longer than 112 characters. Shorten it.').default(''),
  technique: string().max(60).default(''),
  surfaces: array(object({ surface: surfaceSchema, stockId: nullableId() }))
    .max(20, 'A run takes up to 20 surfaces. Begin another one for the rest.')
    .default([]),
})
export type BeginRun = InferType<typeof beginRunSchema>

const poured = 'Type how much went in, like 60 ml or 64 g.'
const gives = {
  piece: idSchema,
  bottle: idSchema,
  ul: ul(poured),
  how: word(AMOUNT_WAYS),
  grams: grams().optional(),
  squeezes: number().integer().min(1).max(50, 'Fifty squeezes at once are the most.').optional(),
}
/** The same where paint may be none: a remedy with a straw, an edge from what dripped. */
const mayGive = {
  ...gives,
  bottle: nullableId(),
  ul: number().integer().min(0).max(3e9).required(poured),
}

/** What belongs to an event of each kind; what it was frozen with is read by Fika and never sent. */
const EVENTS: Readonly<Record<RunEventKind, ObjectShape>> = {
  next: { from: word(RUN_STEPS) },
  go: { to: word(RUN_STEPS) },
  tick: { what: string().max(300).required(), on: boolean().required() },
  climate: {
    celsius: number()
      .typeError('Type the warmth in °C, like 21.')
      .min(-20)
      .max(60)
      .required('Type the warmth in °C, like 21.'),
    humidity: number()
      .typeError('Type the humidity in %, like 45.')
      .min(0)
      .max(1, 'Humidity is 100 % at most. Check it.')
      .required('Type the humidity in %, like 45.'),
  },
  check: {
    bottle: idSchema,
    reading: object({
      levelTimeS: seconds,
      sigma: number().moreThan(0).max(3).required(),
      tries: array(seconds).max(9, 'Nine tries of one mound are the most.').required(),
      how: word(READING_WAYS),
    })
      .noUnknown()
      .optional()
      .default(undefined),
  },
  thin: { bottle: idSchema, waterId: idSchema, ul: ul('Type how much water went in, like 6 drops.') },
  weigh: {
    piece: idSchema,
    when: word(['before', 'after'] as const),
    grams: grams().required('Type what it weighs, like 412 g.'),
  },
  tare: { grams: grams().required() },
  coat: {
    coat: nullableId(),
    role: word(COAT_ROLES),
    share: number().min(0).max(1, 'A coat covers the whole face at most.').default(1),
    ...gives,
  },
  load: { cup: idSchema, layer: nullableId(), way: word(WAYS_IN), ...gives },
  deed: { deed: word(DEEDS), piece: idSchema, cup: nullableId() },
  turn: { cup: idSchema, deg: number().min(-3600).max(3600).required() },
  heat: {
    piece: idSchema,
    seconds: number().min(0).max(600, 'Ten minutes of heat burn any film. Check the seconds.').required(),
  },
  wait: {
    what: string().max(120).required(),
    seconds: number().min(1).max(86_400, 'A timer runs a day at most.').required(),
  },
  photo: { piece: idSchema, photo: idSchema, corners: array(point()).max(4).required() },
  keep: {
    piece: idSchema,
    at: point(),
    radiusMm: number().min(1).max(5_000).required(),
    isKept: boolean().required(),
    why: string().trim().max(200, 'The reason is longer than 200 characters. Shorten it.').default(''),
  },
  tilt: { piece: idSchema, to: word([...CORNER_NAMES, ...EDGE_NAMES]) },
  bother: { piece: idSchema, what: word(BOTHERS) },
  remedy: { bother: eventNumber(), which: word(REMEDY_KEYS), ...mayGive },
  worked: { remedy: eventNumber(), yes: boolean().required() },
  edge: { side: word(EDGE_NAMES), ...mayGive },
  back: { piece: idSchema, bottle: idSchema, ul: ul('Type how much goes back, like 10 ml.') },
  left: { piece: idSchema, film: word(['thin', 'as wanted', 'too much'] as const) },
  'run-off': {
    piece: nullableId(),
    to: word(['jar', 'waste'] as const),
    jar: nullableId(),
    newJar: string().trim().max(120, 'The jar’s name is longer than 120 characters. Shorten it.').nullable().defined(),
    ul: ul('Type how much ran off, like 40 g or 35 ml.'),
    weighed: boolean().required(),
  },
  tour: {
    piece: idSchema,
    weak: array(word(TOUR_SPOTS)).max(9).required(),
    best: string().oneOf(TOUR_SPOTS).nullable().defined(),
  },
  dries: { piece: idSchema, place: string().trim().max(60).default('') },
  note: {
    text: string()
      .trim()
      .max(1000, 'The note is longer than 1,000 characters. Shorten it.')
      .required('Type the note first.'),
  },
  undo: { of: eventNumber() },
}

/** One thing that happened at a run: which event it is decides what belongs to it. */
export const runEventSchema = object({
  requestId: idSchema,
  event: lazy((value: unknown) => {
    const kind = (value as { kind?: RunEventKind } | null)?.kind
    const known = kind !== undefined && Object.hasOwn(EVENTS, kind)
    return object({
      kind: string().oneOf(Object.keys(EVENTS), 'Fika does not know that step. Reload the page.').required(),
      ...(known ? EVENTS[kind] : {}),
    }).noUnknown()
  }) as unknown as ReturnType<ReturnType<typeof mixed<RunEvent>>['required']>,
})

/** Which run is meant, as an address has it; what is no id is simply not found. */
export const runSchema = object({ id: string().required() })

export const bookRunSchema = object({
  id: idSchema,
  /** What was poured beyond a bottle's books is booked as found in it. */
  findRest: boolean().default(false),
})
export const runIdSchema = object({ id: idSchema })

/** A photo of the day as it is sent: a form with the file in it. */
export const runPhotoSchema = object({
  id: idSchema,
  runId: idSchema,
  photo: mixed<File>((v): v is File => v instanceof File && v.size > 0)
    .typeError('Take a photo first.')
    .required('Take a photo first.')
    .test('size', 'This photo is larger than 20 MB. Make it smaller, and try again.', (f) => f.size <= PHOTO.bytes),
})
