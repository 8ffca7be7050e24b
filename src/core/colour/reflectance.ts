import { BANDS, W_X, W_Y, W_Z } from './observer'
import { hexToSrgb, toLinear, XYZ_TO_RGB, type Triple } from './srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { tanh, abs, max, min } = Math

/** Reflectance in 36 bands, 0–1. */
export type Reflectance = Float64Array

/**
 * Nothing painted reflects less in a band: below it K/S has no end, and a reading is the reader's own noise. A third of
 * the smallest step of an sRGB channel, so black stays black.
 */
export const DARKEST = 1e-4

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

/** Right-hand sides solved at once: the gradient and the three colour constraints. */
const SIDES = 4

/** T alone is singular at the start (a constant has no slope); a hair on its pivot leaves the step what it was. */
const awayFromZero = (pivot: number) => (abs(pivot) < 1e-6 ? 1e-6 : pivot)

/**
 * Solves the Newton step of the bordered system [T B; Bᵀ 0] [dz; dλ] = [−g; c], T tridiagonal with −2 beside its
 * diagonal: eliminates T (no fill-in, 36 rows), then the three constraints.
 * @param diagonal 36 numbers; overwritten
 * @param sides row i holds −g, B₀, B₁, B₂; overwritten by T⁻¹ of them
 * @param c what the constraints lack
 * @returns the step of λ, with that of z in `sides` column 0; undefined where the constraints do not fix it
 */
function step(
  diagonal: Float64Array,
  sides: Float64Array,
  border: readonly Float64Array[],
  c: Triple,
): Triple | undefined {
  const n = diagonal.length
  for (let i = 1; i < n; i++) {
    diagonal[i - 1] = awayFromZero(diagonal[i - 1]!)
    const factor = -2 / diagonal[i - 1]!
    diagonal[i]! -= factor * -2
    for (let k = 0; k < SIDES; k++) sides[i * SIDES + k]! -= factor * sides[(i - 1) * SIDES + k]!
  }
  diagonal[n - 1] = awayFromZero(diagonal[n - 1]!)
  for (let i = n - 1; i >= 0; i--)
    for (let k = 0; k < SIDES; k++) {
      const above = i < n - 1 ? 2 * sides[(i + 1) * SIDES + k]! : 0
      sides[i * SIDES + k] = (sides[i * SIDES + k]! + above) / diagonal[i]!
    }
  // (Bᵀ T⁻¹ B) dλ = Bᵀ T⁻¹ (−g) − c
  const m = [0, 1, 2].map((row) => {
    const line = [0, 0, 0, 0]
    for (let i = 0; i < n; i++) {
      const b = border[row]![i]!
      for (let k = 0; k < 3; k++) line[k]! += b * sides[i * SIDES + k + 1]!
      line[3]! += b * sides[i * SIDES]!
    }
    line[3]! -= c[row]!
    return line
  })
  const lambda = solve3(m)
  if (!lambda) return undefined
  for (let i = 0; i < n; i++) for (let k = 0; k < 3; k++) sides[i * SIDES]! -= lambda[k]! * sides[i * SIDES + k + 1]!
  return lambda
}

/** Solves three equations by Gauss elimination with partial pivoting; rows hold the right-hand side last. */
function solve3(m: number[][]): Triple | undefined {
  for (let col = 0; col < 3; col++) {
    let pivot = col
    for (let row = col + 1; row < 3; row++) if (abs(m[row]![col]!) > abs(m[pivot]![col]!)) pivot = row
    const top = m[pivot]!
    if (abs(top[col]!) < 1e-14) return undefined
    m[pivot] = m[col]!
    m[col] = top
    for (let row = 0; row < 3; row++) {
      if (row === col) continue
      const factor = m[row]![col]! / top[col]!
      for (let k = col; k < 4; k++) m[row]![k]! -= factor * top[k]!
    }
  }
  return [m[0]![3]! / m[0]![0]!, m[1]![3]! / m[1]![1]!, m[2]![3]! / m[2]![2]!]
}

/** One bounded attempt: Newton's method on the Lagrangian of Burns' problem, R = low + (high − low)(1 + tanh z)/2. */
function attempt(target: Triple, low: number, high: number): Reflectance | undefined {
  const n = BANDS
  const span = high - low
  const z = new Float64Array(n)
  const lambda: Triple = [0, 0, 0]
  const r = new Float64Array(n)
  const diagonal = new Float64Array(n)
  const sides = new Float64Array(n * SIDES)
  const border = [new Float64Array(n), new Float64Array(n), new Float64Array(n)]
  for (let iteration = 0; iteration < 60; iteration++) {
    let error = 0
    for (let i = 0; i < n; i++) {
      const t = tanh(z[i]!)
      r[i] = low + (span * (1 + t)) / 2
      const slope = (span * (1 - t * t)) / 2
      const bend = -span * t * (1 - t * t)
      const edge = i === 0 || i === n - 1 ? 2 : 4
      const pull = lambda[0] * ROWS[0]![i]! + lambda[1] * ROWS[1]![i]! + lambda[2] * ROWS[2]![i]!
      diagonal[i] = edge + bend * pull
      let gradient = edge * z[i]! + slope * pull
      if (i > 0) gradient -= 2 * z[i - 1]!
      if (i < n - 1) gradient -= 2 * z[i + 1]!
      sides[i * SIDES] = -gradient
      for (let k = 0; k < 3; k++) border[k]![i] = sides[i * SIDES + k + 1] = slope * ROWS[k]![i]!
      error = max(error, abs(gradient))
    }
    const lacks: Triple = [0, 0, 0]
    for (let k = 0; k < 3; k++) {
      let sum = 0
      for (let i = 0; i < n; i++) sum += ROWS[k]![i]! * r[i]!
      lacks[k] = target[k]! - sum
      error = max(error, abs(lacks[k]!) * 10)
    }
    if (error < 1e-8) return r
    const dLambda = step(diagonal, sides, border, lacks)
    if (!dLambda) return undefined
    // A long step leaves the region where the tangent is any guide.
    let longest = 0
    for (let i = 0; i < n; i++) longest = max(longest, abs(sides[i * SIDES]!))
    if (!Number.isFinite(longest) || !dLambda.every(Number.isFinite)) return undefined
    const damp = longest > 2 ? 2 / longest : 1
    for (let i = 0; i < n; i++) z[i]! += damp * sides[i * SIDES]!
    for (let k = 0; k < 3; k++) lambda[k]! += damp * dLambda[k]!
  }
  return undefined
}

/**
 * A smooth reflectance that has exactly this sRGB colour: least hyperbolic tangent slope, bounded to [0.004, 1] and
 * widened only where the colour needs it (a fraction of a millisecond: do it once per swatch and keep the result).
 * Source: Burns, Color Res. Appl. 45 (2020), “Numerical methods for smoothest reflectance reconstruction”.
 * @param hex `#rrggbb`
 * @throws Invalid when `hex` is not a colour
 */
export function reflectanceFromHex(hex: string): Reflectance {
  const linear = hexToSrgb(hex).map(toLinear) as Triple
  const [least, most] = [min(...linear), max(...linear)]
  if (most - least < 1e-9) return new Float64Array(BANDS).fill(max(most, DARKEST))
  for (const [low, high] of [
    [min(0.004, least * 0.98), 1],
    [0.0004, 1],
    [1e-5, 1.001],
    [-0.0005, 1.002],
    [-0.02, 1.05],
  ] as const) {
    const r = attempt(linear, low, high)
    if (r) return r.map((v) => max(v, DARKEST))
  }
  // Newton found nothing smooth: three flat blocks cannot fail to be near, and are still a reflectance.
  const block = (i: number) => (i < 11 ? linear[2] : i < 21 ? linear[1] : linear[0])
  return Float64Array.from({ length: BANDS }, (_, i) => max(block(i), DARKEST))
}
