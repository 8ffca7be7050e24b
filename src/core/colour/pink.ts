import { chroma, hue } from './lab'
import type { Triple } from './srgb'

/** Tints that are pink: hue in degrees of CIELAB, and how much colour it takes to see it. Start values of Fika. */
export const isPink = (lab: Triple) => (hue(lab) >= 305 || hue(lab) <= 35) && chroma(lab) >= 12
