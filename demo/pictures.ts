import { join } from 'node:path'

const slug = (title: string) => title.toLowerCase().replace(/[^a-z0-9]+/g, '-')

/** Where what a rehearsal of a plan told lies: as it is kept, each colour by its label. */
export const toldOfPlan = (title: string): string => join(import.meta.dirname, 'pictures', `${slug(title)}.json`)

/** Where what was measured of the pictures lies, by title and state. */
export const MEASURED = join(import.meta.dirname, 'pictures', 'measured.json')

/** What one of them is called there. */
export const measuredKey = (title: string, state: 'wet' | 'dry'): string => `${slug(title)}-${state}`

/** Where the picture of a piece of the demo lies. */
export const pictureOf = (title: string, state: 'wet' | 'dry'): string =>
  join(import.meta.dirname, 'pictures', `${slug(title)}-${state}.webp`)
