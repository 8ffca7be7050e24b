import { boolean, number, object, string, type InferType } from 'yup'

/** Version of the line protocol, see docs/devices.md. */
export const PROTOCOL = 1

/** First line of a scale: what it is. Weights are always in grams, whatever its display shows. */
export const helloSchema = object({
  device: string()
    .oneOf(['scale'] as const)
    .required(),
  protocol: number().oneOf([PROTOCOL]).required(),
  name: string().max(80).required(),
  capacityG: number().positive().max(1e6).required(),
  resolutionG: number().positive().max(100).required(),
  standIn: boolean().default(false),
})
export type Hello = InferType<typeof helloSchema>

/** One weight. `grams` is net of `tare`; over its capacity there is no weight. `at`: when, ms since 1970. */
export const weightSchema = object({
  grams: number().min(-1e6).max(1e6).required(),
  tare: number().min(-1e6).max(1e6).default(0),
  stable: boolean().required(),
  overload: boolean().default(false),
  at: number().required(),
})
export type WeightLine = InferType<typeof weightSchema>

/** What the app may ask of a scale. All but `tare` is understood by the stand-in only: what happens on its plate. */
export const requestSchema = object({
  do: string()
    .oneOf(['tare', 'place', 'pour', 'stop'] as const)
    .required(),
  /** Grams put on (or, below zero, taken off), or to be poured. */
  grams: number().min(-1e5).max(1e5).optional(),
  /** Grams a second. */
  rate: number().positive().max(5_000).optional(),
})
export type ScaleRequest = InferType<typeof requestSchema>
