import { chroma, labToSrgb, labToXyz } from './lab'
import { srgbToHex, xyzToLinear, type Triple } from './srgb'

/** A hair of slack, so that a colour on the very edge counts as inside. */
const SLACK = 1e-4

const inside = (lab: Triple) => xyzToLinear(labToXyz(lab)).every((c) => c >= -SLACK && c <= 1 + SLACK)

/** Whether a screen can show a colour. */
export const inScreenGamut = (lab: Triple) => inside(lab)

export interface Shown {
  readonly hex: string
  /** The nearest the screen can show: lightness and hue kept, chroma given up. */
  readonly lab: Triple
  readonly clipped: boolean
}

/** A colour as a screen can show it: where it lies outside sRGB, chroma is given up at the same lightness and hue. */
export function showOnScreen(lab: Triple): Shown {
  if (inside(lab)) return { hex: srgbToHex(labToSrgb(lab)), lab, clipped: false }
  const l = Math.min(100, Math.max(0, lab[0]))
  let [low, high] = [0, 1]
  for (let i = 0; i < 24 && l > 0 && l < 100 && chroma(lab) > 0; i++) {
    const middle = (low + high) / 2
    if (inside([l, lab[1] * middle, lab[2] * middle])) low = middle
    else high = middle
  }
  const kept: Triple = [l, lab[1] * low, lab[2] * low]
  return { hex: srgbToHex(labToSrgb(kept)), lab: kept, clipped: true }
}
