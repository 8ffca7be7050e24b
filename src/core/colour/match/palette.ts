import { labGradient } from '../calibrate'
import { layerByK, layerReflectance, type Optics } from '../kubelkaMunk'
import { BANDS, W_X, W_Y, W_Z } from '../observer'
import { xyzToLab } from '../lab'
import type { Triple } from '../srgb'

/** K and S of many paints in one block each, 36 bands a paint, for searches. */
export interface Palette {
  readonly count: number
  readonly k: Float64Array
  readonly s: Float64Array
}

export function paletteOf(paints: readonly Optics[]): Palette {
  const k = new Float64Array(paints.length * BANDS)
  const s = new Float64Array(paints.length * BANDS)
  paints.forEach((p, i) => {
    k.set(p.k, i * BANDS)
    s.set(p.s, i * BANDS)
  })
  return { count: paints.length, k, s }
}

const sumK = new Float64Array(BANDS)
const sumS = new Float64Array(BANDS)

/** K and S of a mix into the scratch of this file. 36 stands as a plain number, see `kubelkaMunk`. */
function add({ k, s }: Palette, set: ArrayLike<number>, amounts: ArrayLike<number>, n: number): void {
  // Read into locals once: a name of another file costs a look-up at every use.
  const outK = sumK
  const outS = sumS
  outK.fill(0)
  outS.fill(0)
  for (let j = 0; j < n; j++) {
    const from = set[j]! * 36
    const amount = amounts[j]!
    for (let i = 0; i < 36; i++) {
      outK[i]! += amount * k[from + i]!
      outS[i]! += amount * s[from + i]!
    }
  }
}

/** XYZ of a mix of paints of a palette, into `out`. */
export function xyzOfSet(p: Palette, set: ArrayLike<number>, amounts: ArrayLike<number>, out: Triple): void {
  add(p, set, amounts, set.length)
  const layer = layerReflectance
  const [wx, wy, wz] = [W_X, W_Y, W_Z]
  let x = 0
  let y = 0
  let z = 0
  for (let i = 0; i < 36; i++) {
    const r = layer(sumK[i]!, sumS[i]!)
    x += r * wx[i]!
    y += r * wy[i]!
    z += r * wz[i]!
  }
  out[0] = x
  out[1] = y
  out[2] = z
}

const scratch: Triple = [0, 0, 0]
/** L*a*b* of a mix of paints of a palette. */
export function labOfSet(p: Palette, set: ArrayLike<number>, amounts: ArrayLike<number>): Triple {
  xyzOfSet(p, set, amounts, scratch)
  return xyzToLab(scratch)
}

const ratio = new Float64Array(BANDS)
const slopeX = new Float64Array(BANDS)
const slopeY = new Float64Array(BANDS)
const slopeZ = new Float64Array(BANDS)

/**
 * XYZ of a mix, and its derivative by each amount: `by[3 j + c]` is ∂XYZ_c / ∂amount_j.
 * From R(K, S) homogeneous of degree 0: ∂R/∂S = −(K/S) ∂R/∂K.
 */
export function xyzAndSlope(
  p: Palette,
  set: readonly number[],
  amounts: readonly number[],
  xyz: Triple,
  by: Float64Array,
): void {
  add(p, set, amounts, set.length)
  const [layer, slope] = [layerReflectance, layerByK]
  const [wx, wy, wz] = [W_X, W_Y, W_Z]
  let x = 0
  let y = 0
  let z = 0
  for (let i = 0; i < 36; i++) {
    const k = sumK[i]!
    const s = sumS[i]!
    const r = layer(k, s)
    const byK = slope(k, s)
    x += r * wx[i]!
    y += r * wy[i]!
    z += r * wz[i]!
    ratio[i] = k / s
    slopeX[i] = byK * wx[i]!
    slopeY[i] = byK * wy[i]!
    slopeZ[i] = byK * wz[i]!
  }
  xyz[0] = x
  xyz[1] = y
  xyz[2] = z
  for (let j = 0; j < set.length; j++) slopeOf(p, set[j]! * 36, j, by)
}

/** The derivative by the amount of one paint, its sums in locals: stores into memory are what costs here. */
function slopeOf({ k, s }: Palette, from: number, j: number, by: Float64Array): void {
  let x = 0
  let y = 0
  let z = 0
  for (let i = 0; i < 36; i++) {
    const off = k[from + i]! - ratio[i]! * s[from + i]!
    x += off * slopeX[i]!
    y += off * slopeY[i]!
    z += off * slopeZ[i]!
  }
  by[3 * j] = x
  by[3 * j + 1] = y
  by[3 * j + 2] = z
}

/** Rows of d(ΔE00 units)/dXYZ at a colour. */
export const metricByXyz = (xyz: Triple) => labGradient(xyz).byXyz
