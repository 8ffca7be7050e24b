import type { Reflectance } from './reflectance'

/** A reading has a spectrum of its own; one rebuilt from a swatch's hex has only its colour right. */
export type SpectrumFrom = 'reading' | 'hex'

/** Below this a reader's noise is more than a few per cent of what it reads. From trials. */
const DARK = 0.024
/** How far neighbours count, nm (standard deviation). From trials. */
const NM = 13

/**
 * A reading with its dark bands taken together with their neighbours: there K/S goes with 1/R, and the reader's noise
 * of a band would stand for the strength of the whole paint. Lighter bands stay as read, and are no neighbours of dark
 * ones. A spectrum rebuilt from a colour has no noise and comes back as it is.
 * @param reflectance 36 bands
 */
export function steadied(reflectance: Reflectance, from: SpectrumFrom): Reflectance {
  if (from === 'hex') return reflectance
  const once = pass(reflectance, reflectance)
  return pass(reflectance, once)
}

/** @param level how dark each band is taken to be */
function pass(read: Reflectance, level: Reflectance): Reflectance {
  return read.map((r, i) => {
    const dark = Math.min(1, Math.max(0, (DARK - level[i]!) / (0.5 * DARK)))
    if (dark === 0) return r
    let [sum, weight] = [0, 0]
    for (let j = 0; j < read.length; j++) {
      const far = (10 * (i - j)) / NM
      const lighter = Math.max(0, level[j]! - level[i]!) / DARK
      const w = Math.exp(-0.5 * (far * far + lighter * lighter))
      sum += w * read[j]!
      weight += w
    }
    return (1 - dark) * r + (dark * sum) / weight
  })
}
