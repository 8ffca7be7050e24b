import { chroma, hue } from './lab'
import type { Triple } from './srgb'

/** Families of colour as a maker names them, in the order of the hue circle, then the greys. */
export const HUE_FAMILIES = [
  'red',
  'orange',
  'brown',
  'yellow',
  'green',
  'turquoise',
  'blue',
  'violet',
  'pink',
  'white',
  'grey',
  'black',
] as const
export type HueFamily = (typeof HUE_FAMILIES)[number]

/** Below this chroma a colour is a white, a grey or a black. */
const NEUTRAL = 8

/**
 * The family of a colour by its CIE L*a*b*. Bounds are start values of Fika: brown is a dark or dull
 * orange, pink a light red.
 */
export function hueFamily(lab: Triple): HueFamily {
  const [l] = lab
  const c = chroma(lab)
  const h = hue(lab)
  if (c < NEUTRAL || (l > 88 && c < 14) || (l < 20 && c < 11)) return l >= 85 ? 'white' : l <= 25 ? 'black' : 'grey'
  if (h >= 25 && h < 90 && l < 50 && c < 50) return 'brown'
  if (h < 20 || h >= 345) return l > 55 ? 'pink' : 'red'
  if (h < 45) return l > 68 ? 'pink' : 'red'
  if (h < 73) return 'orange'
  if (h < 108) return 'yellow'
  if (h < 172) return 'green'
  if (h < 228) return 'turquoise'
  if (h < 300) return 'blue'
  return l > 65 && h > 325 ? 'pink' : 'violet'
}

/** Sorts colours round the hue circle from red, the greys last from light to dark. */
export function hueOrder(lab: Triple): number {
  if (chroma(lab) < NEUTRAL) return 1000 + (100 - lab[0])
  return (hue(lab) + 345) % 360
}
