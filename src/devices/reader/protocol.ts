import { array, boolean, number, object, string } from 'yup'

/** Version of the line protocol, see docs/devices.md. */
export const PROTOCOL = 1

const bands = array(number().min(-0.05).max(1.5).required()).length(36)

/** First line of a reader: what it is, and when it was last set on its white tile. */
export const helloSchema = object({
  device: string()
    .oneOf(['colour reader'] as const)
    .required(),
  protocol: number().oneOf([PROTOCOL]).required(),
  name: string().max(80).required(),
  calibratedAt: string().nullable().defined(),
  standIn: boolean().default(false),
  /** Whether its spectra hold the reflection off the gloss of the surface. */
  specularIncluded: boolean().default(false),
})

/** One reading: L*a*b* under D65 and the 2° observer, and the reflectance where the reader has one. */
export const readingSchema = object({
  reading: object({
    lab: array(number().min(-200).max(200).required()).length(3).required(),
    reflectance: bands.optional(),
  }).required(),
})
export const calibratedSchema = object({ calibratedAt: string().required() })
export const errorSchema = object({ error: string().max(200).required() })

/** What the app may ask of a reader. `place` is understood by the stand-in only: what lies under it. */
export const requestSchema = object({
  do: string()
    .oneOf(['read', 'calibrate', 'place'] as const)
    .required(),
  reflectance: bands.optional(),
})

/** A reader drifts: after this long it should see its white tile again. Start value of Fika. */
export const CALIBRATION_HOURS = 8
