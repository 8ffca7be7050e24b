import { BANDS } from './observer'
import type { Reflectance } from './reflectance'

/** Absorption and scattering of a paint per unit of volume, 36 bands, on a scale where white scatters 1. */
export interface Optics {
  readonly k: Float64Array
  readonly s: Float64Array
}

/** Internal reflection at the paint's surface, for swatches from hex or photos (specular excluded: k1 = 0). */
export const SAUNDERSON_K2 = 0.6

/** Measured → internal reflectance (Saunderson 1942) with k1 = 0. */
export const toInternal = (r: number, k2 = SAUNDERSON_K2) => r / (1 - k2 + k2 * r)
/** Internal → measured reflectance with k1 = 0. */
export const toMeasured = (r: number, k2 = SAUNDERSON_K2) => ((1 - k2) * r) / (1 - k2 * r)
/** K/S of an opaque layer (Kubelka & Munk 1931): (1 − R)² / 2R. */
export const kOverS = (r: number) => ((1 - r) * (1 - r)) / (2 * r)
/** R∞ from K/S. */
export const rInfinity = (q: number) => 1 + q - Math.sqrt(q * q + 2 * q)

/**
 * Reflectance of an opaque mix: per band K and S add by volume (two-constant Kubelka–Munk, Duncan 1940), Saunderson
 * correction folded in: one root and one division a band.
 * @param paints optics of each paint
 * @param amounts volumes, any unit, ≥ 0, at least one above 0
 * @param out filled and returned, 36 bands
 */
export function mixReflectance(
  paints: readonly Optics[],
  amounts: readonly number[],
  out: Reflectance = new Float64Array(BANDS),
): Reflectance {
  const n = paints.length
  for (let i = 0; i < BANDS; i++) {
    let k = 0
    let s = 0
    for (let p = 0; p < n; p++) {
      const paint = paints[p]!
      const amount = amounts[p]!
      k += amount * paint.k[i]!
      s += amount * paint.s[i]!
    }
    out[i] = ((1 - SAUNDERSON_K2) * s) / (k + (1 - SAUNDERSON_K2) * s + Math.sqrt(k * (k + 2 * s)))
  }
  return out
}
