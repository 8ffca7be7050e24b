import { BANDS, W_X, W_Y, W_Z } from './observer'
import type { Reflectance } from './reflectance'
import type { Triple } from './srgb'

/** Absorption and scattering of a paint per unit of volume, 36 bands, on a scale where white scatters 1. */
export interface Optics {
  readonly k: Float64Array
  readonly s: Float64Array
}

/** Internal reflection at the paint's surface, for swatches from hex or photos (specular excluded: k1 = 0). */
const SAUNDERSON_K2 = 0.6

/** Measured → internal reflectance (Saunderson 1942) with k1 = 0. */
export const toInternal = (r: number, k2 = SAUNDERSON_K2) => r / (1 - k2 + k2 * r)
/** Internal → measured reflectance with k1 = 0. */
export const toMeasured = (r: number, k2 = SAUNDERSON_K2) => ((1 - k2) * r) / (1 - k2 * r)
/** K/S of an opaque layer (Kubelka & Munk 1931): (1 − R)² / 2R. */
export const kOverS = (r: number) => ((1 - r) * (1 - r)) / (2 * r)
/** R∞ from K/S. */
export const rInfinity = (q: number) => 1 + q - Math.sqrt(q * q + 2 * q)

// The loops below are the hottest of every search. BANDS and 1 − SAUNDERSON_K2 stand in them as plain numbers: a literal
// bound spares the range checks, a quarter of the time. The tests hold them to the named constants.

/** Sums of K and S of the mix at hand; filled and read within one call, the core being synchronous. */
const sumK = new Float64Array(BANDS)
const sumS = new Float64Array(BANDS)

/** K and S of a mix add by volume, band by band (two-constant Kubelka–Munk, Duncan 1940). */
function sumOptics(paints: readonly Optics[], amounts: readonly number[]): void {
  const outK = sumK
  const outS = sumS
  // The first paint is written and the others added to it: half the passes of clearing first.
  const { k: firstK, s: firstS } = paints[0]!
  const firstAmount = amounts[0]!
  for (let i = 0; i < 36; i++) {
    outK[i] = firstAmount * firstK[i]!
    outS[i] = firstAmount * firstS[i]!
  }
  for (let p = 1; p < paints.length; p++) {
    const { k, s } = paints[p]!
    const amount = amounts[p]!
    for (let i = 0; i < 36; i++) {
      outK[i] = outK[i]! + amount * k[i]!
      outS[i] = outS[i]! + amount * s[i]!
    }
  }
}

/** Reflectance of an opaque layer in one band, Saunderson folded in: one root and one division. */
function layerReflectance(k: number, s: number): number {
  const scattered = 0.4 * s // 1 − SAUNDERSON_K2
  return scattered / (k + scattered + Math.sqrt(k * (k + 2 * s)))
}

/**
 * Reflectance of an opaque mix, 36 bands.
 * @param paints optics of each paint, at least one
 * @param amounts volumes, any unit, ≥ 0, at least one above 0
 */
export function mixReflectance(paints: readonly Optics[], amounts: readonly number[]): Reflectance {
  sumOptics(paints, amounts)
  return Float64Array.from(sumK, (k, i) => layerReflectance(k, sumS[i]!))
}

/** XYZ (Y of white 1) of an opaque mix, as `mixReflectance` but without keeping the reflectance. */
export function mixToXyz(paints: readonly Optics[], amounts: readonly number[]): Triple {
  sumOptics(paints, amounts)
  const k = sumK
  const s = sumS
  const wx = W_X
  const wy = W_Y
  const wz = W_Z
  let x = 0
  let y = 0
  let z = 0
  for (let i = 0; i < 36; i++) {
    const r = layerReflectance(k[i]!, s[i]!)
    x += r * wx[i]!
    y += r * wy[i]!
    z += r * wz[i]!
  }
  return [x, y, z]
}
