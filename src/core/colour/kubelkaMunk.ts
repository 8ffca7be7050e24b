import { BANDS, W_X, W_Y, W_Z } from './observer'
import { DARKEST, type Reflectance } from './reflectance'
import type { Triple } from './srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { sqrt, max, min } = Math

/** Absorption and scattering of a paint per unit of volume, 36 bands, on a scale where white scatters 1. */
export interface Optics {
  readonly k: Float64Array
  readonly s: Float64Array
}

/** Internal reflection at the paint's surface, for swatches from hex or photos (specular excluded: k1 = 0). */
const SAUNDERSON_K2 = 0.6
/** Reflection off the outside of the film, for spectra measured with the specular part included. */
export const SPECULAR_K1 = 0.04

/** Measured → internal reflectance (Saunderson 1942); k1 = 0 where the specular part was excluded. */
export const toInternal = (r: number, k2 = SAUNDERSON_K2, k1 = 0) => (r - k1) / (1 - k1 - k2 + k2 * r)
/** Internal → measured reflectance; the inverse of `toInternal`. */
export const toMeasured = (r: number, k2 = SAUNDERSON_K2, k1 = 0) => k1 + ((1 - k1) * (1 - k2) * r) / (1 - k2 * r)
/** A reflectance measured with the specular part included, as it would be with it excluded. */
export const withoutSpecular = (r: number) => Math.max(DARKEST, toMeasured(toInternal(r, SAUNDERSON_K2, SPECULAR_K1)))
/** K/S of an opaque layer (Kubelka & Munk 1931): (1 − R)² / 2R. */
export const kOverS = (r: number) => ((1 - r) * (1 - r)) / (2 * r)

const LIGHTEST = 0.9999
/** Internal reflectance of what is seen, held to what paint can reflect. */
export const internalOf = (r: number) => toInternal(min(LIGHTEST, max(DARKEST, r)))
/** K/S of an opaque layer from its reflectance as seen. */
export const ratioOf = (r: number) => kOverS(internalOf(r))

// The loops below are the hottest of every search. BANDS and 1 − SAUNDERSON_K2 stand in them as plain numbers: a literal
// bound spares the range checks, a quarter of the time. The tests hold them to the named constants.

/** K and S of a mix of paints by volume, per unit of the amounts given; as `mixReflectance`. */
export function mixOptics(paints: readonly Optics[], amounts: readonly number[]): Optics {
  sumOptics(paints, amounts)
  return { k: sumK.slice(), s: sumS.slice() }
}

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
export function layerReflectance(k: number, s: number): number {
  const scattered = 0.4 * s // 1 − SAUNDERSON_K2
  return scattered / (k + scattered + sqrt(k * (k + 2 * s)))
}

/**
 * ∂R/∂K of that reflectance. R hangs on K/S alone, so K ∂R/∂K + S ∂R/∂S = 0 gives the other. Steeper without end where
 * a layer absorbs nothing: held finite there.
 */
export function layerByK(k: number, s: number): number {
  const scattered = 0.4 * s
  const root = sqrt(k * (k + 2 * s))
  const below = k + scattered + root
  return (-scattered * (1 + (k + s) / max(root, 1e-12))) / (below * below)
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
