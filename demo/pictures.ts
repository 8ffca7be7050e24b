import { join } from 'node:path'

/** Where the picture of a piece of the demo lies. */
export const pictureOf = (title: string, state: 'wet' | 'dry'): string =>
  join(import.meta.dirname, 'pictures', `${title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-${state}.webp`)
