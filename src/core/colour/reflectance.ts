import { BANDS, W_X, W_Y, W_Z } from './observer'
import { hexToSrgb, toLinear, XYZ_TO_RGB, xyzToLinear, type Triple } from './srgb'

/** Reflectance in 36 bands, 0–1. */
export type Reflectance = Float64Array

/** Rows of the map from reflectance to linear sRGB. */
const ROWS = XYZ_TO_RGB.map((m) =>
  Float64Array.from({ length: BANDS }, (_, i) => m[0] * W_X[i]! + m[1] * W_Y[i]! + m[2] * W_Z[i]!),
)

/** XYZ (Y of white 1) of a reflectance under D65, 2° observer. */
export function reflectanceToXyz(r: ArrayLike<number>): Triple {
  let x = 0
  let y = 0
  let z = 0
  for (let i = 0; i < BANDS; i++) {
    const v = r[i]!
    x += v * W_X[i]!
    y += v * W_Y[i]!
    z += v * W_Z[i]!
  }
  return [x, y, z]
}

/** Linear sRGB of a reflectance. */
export const reflectanceToLinear = (r: ArrayLike<number>): Triple => xyzToLinear(reflectanceToXyz(r))

/**
 * Solves a symmetric system in place by Gauss elimination with partial pivoting.
 * @param a n rows of n + 1 numbers (the last is the right-hand side)
 */
function solve(a: Float64Array[]): Float64Array | undefined {
  const n = a.length
  for (let col = 0; col < n; col++) {
    let pivot = col
    for (let row = col + 1; row < n; row++) if (Math.abs(a[row]![col]!) > Math.abs(a[pivot]![col]!)) pivot = row
    const top = a[pivot]!
    if (Math.abs(top[col]!) < 1e-14) return undefined
    a[pivot] = a[col]!
    a[col] = top
    for (let row = col + 1; row < n; row++) {
      const line = a[row]!
      const factor = line[col]! / top[col]!
      if (factor === 0) continue
      for (let k = col; k <= n; k++) line[k]! -= factor * top[k]!
    }
  }
  const x = new Float64Array(n)
  for (let row = n - 1; row >= 0; row--) {
    const line = a[row]!
    let sum = line[n]!
    for (let k = row + 1; k < n; k++) sum -= line[k]! * x[k]!
    x[row] = sum / line[row]!
  }
  return x
}

/** One bounded attempt: Newton's method on the Lagrangian of Burns' problem, R = low + (high − low)(1 + tanh z)/2. */
function attempt(target: Triple, low: number, high: number): Reflectance | undefined {
  const n = BANDS
  const span = high - low
  const z = new Float64Array(n)
  const lambda: Triple = [0, 0, 0]
  const r = new Float64Array(n)
  for (let iteration = 0; iteration < 60; iteration++) {
    const slope = new Float64Array(n)
    const bend = new Float64Array(n)
    for (let i = 0; i < n; i++) {
      const t = Math.tanh(z[i]!)
      r[i] = low + (span * (1 + t)) / 2
      slope[i] = (span * (1 - t * t)) / 2
      bend[i] = -span * t * (1 - t * t)
    }
    const a = Array.from({ length: n + 3 }, () => new Float64Array(n + 4))
    let error = 0
    for (let i = 0; i < n; i++) {
      const line = a[i]!
      const diagonal = i === 0 || i === n - 1 ? 2 : 4
      const pull = lambda[0] * ROWS[0]![i]! + lambda[1] * ROWS[1]![i]! + lambda[2] * ROWS[2]![i]!
      line[i] = diagonal + bend[i]! * pull
      if (i > 0) line[i - 1] = -2
      if (i < n - 1) line[i + 1] = -2
      let gradient = diagonal * z[i]! + slope[i]! * pull
      if (i > 0) gradient -= 2 * z[i - 1]!
      if (i < n - 1) gradient -= 2 * z[i + 1]!
      for (let k = 0; k < 3; k++) {
        line[n + k] = slope[i]! * ROWS[k]![i]!
        a[n + k]![i] = line[n + k]!
      }
      line[n + 3] = -gradient
      error = Math.max(error, Math.abs(gradient))
    }
    for (let k = 0; k < 3; k++) {
      let sum = 0
      for (let i = 0; i < n; i++) sum += ROWS[k]![i]! * r[i]!
      a[n + k]![n + 3] = target[k]! - sum
      error = Math.max(error, Math.abs(target[k]! - sum) * 10)
    }
    if (error < 1e-8) return r
    const step = solve(a)
    if (!step || !step.every(Number.isFinite)) return undefined
    // A long step leaves the region where the tangent is any guide.
    const longest = Math.max(...step.subarray(0, n).map(Math.abs))
    const damp = longest > 2 ? 2 / longest : 1
    for (let i = 0; i < n; i++) z[i]! += damp * step[i]!
    for (let k = 0; k < 3; k++) lambda[k]! += damp * step[n + k]!
  }
  return undefined
}

/**
 * A smooth reflectance that has exactly this sRGB colour: least hyperbolic tangent slope, bounded to [0.004, 1] and
 * widened only where the colour needs it (about 1 ms: do it once per swatch and keep the result).
 * Source: Burns, Color Res. Appl. 45 (2020), “Numerical methods for smoothest reflectance reconstruction”.
 * @param hex `#rrggbb`
 * @throws Invalid when `hex` is not a colour
 */
export function reflectanceFromHex(hex: string): Reflectance {
  const linear = hexToSrgb(hex).map(toLinear) as Triple
  const [least, most] = [Math.min(...linear), Math.max(...linear)]
  if (most - least < 1e-9) return new Float64Array(BANDS).fill(most)
  for (const [low, high] of [
    [Math.min(0.004, least * 0.98), 1],
    [0.0004, 1],
    [1e-5, 1.001],
    [-0.0005, 1.002],
    [-0.02, 1.05],
  ] as const) {
    const r = attempt(linear, low, high)
    if (r) return r.map((v) => Math.max(v, 1e-6))
  }
  // Newton found nothing smooth: three flat blocks cannot fail to be near, and are still a reflectance.
  const block = (i: number) => (i < 11 ? linear[2] : i < 21 ? linear[1] : linear[0])
  return Float64Array.from({ length: BANDS }, (_, i) => Math.max(block(i), 1e-6))
}
