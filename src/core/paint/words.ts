import { fold } from './fold'
import { BODIES, OPACITIES, SHEENS, STRENGTHS, type Body, type Opacity, type Sheen, type Strength } from './properties'

/** Other words makers and lists use for the same thing. Common practice, no published source. */
// prettier-ignore
const BODY: Readonly<Record<string, Body>> = {
  'ready to pour': 'ready', 'pre mixed': 'ready', premixed: 'ready', pouring: 'ready', 'high flow': 'ink', inks: 'ink', 'acrylic ink': 'ink',
  flow: 'fluid', liquid: 'fluid', economy: 'craft', student: 'soft', 'soft body': 'soft', 'medium body': 'soft', medium: 'soft', tube: 'soft',
  'heavy body': 'heavy', hb: 'heavy', impasto: 'heavy', 'high flow or ink': 'ink', 'soft or medium body': 'soft',
}
// prettier-ignore
const OPACITY: Readonly<Record<string, Opacity>> = {
  t: 'transparent', st: 'semi-transparent', so: 'semi-opaque', o: 'opaque', translucent: 'semi-transparent', 'semi transp': 'semi-transparent',
  'semi transparent': 'semi-transparent', 'semi opaque': 'semi-opaque', 'semi op': 'semi-opaque', opak: 'opaque', covering: 'opaque',
}
// prettier-ignore
const SHEEN: Readonly<Record<string, Sheen>> = {
  mat: 'matte', matt: 'matte', 'semi gloss': 'satin', silk: 'satin', eggshell: 'satin', glossy: 'gloss', shiny: 'gloss', pearlescent: 'pearl', pearly: 'pearl',
  iridescent: 'pearl', interference: 'colour-shift', 'colour shift': 'colour-shift', 'color shift': 'colour-shift', colorshift: 'colour-shift', duochrome: 'colour-shift',
  metal: 'metallic', metallics: 'metallic', neon: 'fluorescent', fluo: 'fluorescent', glittery: 'glitter', sparkle: 'glitter',
}
// prettier-ignore
const STRENGTH: Readonly<Record<string, Strength>> = {
  low: 'weak', medium: 'normal', middle: 'normal', high: 'strong', 'very high': 'very strong', extreme: 'very strong',
}

const reader =
  <T extends string>(own: readonly T[], other: Readonly<Record<string, T>>) =>
  (text: string): T | undefined => {
    const word = fold(text)
      .replace(/[-_/.]+/g, ' ')
      .replace(/\s+/g, ' ')
      .trim()
    return own.find((o) => o.replace(/-/g, ' ') === word) ?? other[word]
  }

/** Reads a word of a list as ours, however it is written; undefined where it is none we know. */
export const readBody = reader(BODIES, BODY)
export const readOpacity = reader(OPACITIES, OPACITY)
export const readSheen = reader(SHEENS, SHEEN)
export const readStrength = reader(STRENGTHS, STRENGTH)
