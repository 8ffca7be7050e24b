import type { Triple } from './srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { sqrt, atan2, cos, sin, exp, abs } = Math

const P25_7 = 25 ** 7
const RAD = Math.PI / 180

/** Twice the sine of half the hue difference (signed), and the direction of the mean hue as a unit vector. */
interface Hues {
  twoSinHalf: number
  cos: number
  sin: number
}

/**
 * Hue difference and mean without trigonometry: the mean of two hues is the direction of the sum of their unit
 * vectors, the chord between them is 2 sin(Δh/2). Near opposite hues the sum vanishes and the rule of Sharma et al.
 * decides which way round; there the angles are taken as they are written.
 */
function huesOf(a1: number, b1: number, c1: number, a2: number, b2: number, c2: number): Hues {
  if (c1 === 0 || c2 === 0) {
    const c = c1 + c2
    return c === 0 ? { twoSinHalf: 0, cos: 1, sin: 0 } : { twoSinHalf: 0, cos: (a1 + a2) / c, sin: (b1 + b2) / c }
  }
  const x1 = a1 / c1
  const y1 = b1 / c1
  const x2 = a2 / c2
  const y2 = b2 / c2
  const sx = x1 + x2
  const sy = y1 + y2
  const sum2 = sx * sx + sy * sy
  if (sum2 < 1e-4) return oppositeHues(y1, x1, y2, x2)
  const length = sqrt(sum2)
  const chord = sqrt((x2 - x1) * (x2 - x1) + (y2 - y1) * (y2 - y1))
  return { twoSinHalf: x1 * y2 - y1 * x2 < 0 ? -chord : chord, cos: sx / length, sin: sy / length }
}

function oppositeHues(y1: number, x1: number, y2: number, x2: number): Hues {
  const turn = 2 * Math.PI
  const h1 = (atan2(y1, x1) + turn) % turn
  const h2 = (atan2(y2, x2) + turn) % turn
  let dh = h2 - h1
  let mean = (h1 + h2) / 2
  if (abs(dh) > Math.PI) {
    mean += h1 + h2 < turn ? Math.PI : -Math.PI
    dh += dh > 0 ? -turn : turn
  }
  return { twoSinHalf: 2 * sin(dh / 2), cos: cos(mean), sin: sin(mean) }
}

const COS_275 = cos(275 * RAD)
const SIN_275 = sin(275 * RAD)
const COS_30 = cos(30 * RAD)
const SIN_30 = sin(30 * RAD)
const COS_6 = cos(6 * RAD)
const SIN_6 = sin(6 * RAD)
const COS_63 = cos(63 * RAD)
const SIN_63 = sin(63 * RAD)

/**
 * CIEDE2000 colour difference of two L*a*b* colours, kL = kC = kH = 1.
 * Source: Sharma, Wu & Dalal, Color Res. Appl. 30 (2005) 21–30.
 */
export function deltaE00(one: Triple, two: Triple): number {
  // Read by index: destructuring costs a third of the whole in this hottest of paths.
  const l1 = one[0]
  const a1 = one[1]
  const b1 = one[2]
  const l2 = two[0]
  const a2 = two[1]
  const b2 = two[2]
  const cMean = (sqrt(a1 * a1 + b1 * b1) + sqrt(a2 * a2 + b2 * b2)) / 2
  const stretch = 1.5 - 0.5 * sqrt(share7(cMean))
  const ap1 = stretch * a1
  const ap2 = stretch * a2
  const cp1 = sqrt(ap1 * ap1 + b1 * b1)
  const cp2 = sqrt(ap2 * ap2 + b2 * b2)
  const { twoSinHalf, cos: x, sin: y } = huesOf(ap1, b1, cp1, ap2, b2, cp2)
  const dL = l2 - l1
  const dC = cp2 - cp1
  const dH = sqrt(cp1 * cp2) * twoSinHalf

  // Cosines of the multiples of the mean hue by the angle-sum formulas.
  const cos2 = x * x - y * y
  const sin2 = 2 * y * x
  const t =
    1 -
    0.17 * (x * COS_30 + y * SIN_30) +
    0.24 * cos2 +
    0.32 * ((cos2 * x - sin2 * y) * COS_6 - (sin2 * x + cos2 * y) * SIN_6) -
    0.2 * ((cos2 * cos2 - sin2 * sin2) * COS_63 + 2 * sin2 * cos2 * SIN_63)
  const lMean = (l1 + l2) / 2 - 50
  const cpMean = (cp1 + cp2) / 2
  const eL = dL / (1 + (0.015 * lMean * lMean) / sqrt(20 + lMean * lMean))
  const eC = dC / (1 + 0.045 * cpMean)
  const eH = dH / (1 + 0.015 * cpMean * t)
  return sqrt(eL * eL + eC * eC + eH * eH + rotation(x, y, cpMean) * eC * eH)
}

/** c⁷ / (c⁷ + 25⁷). */
function share7(c: number): number {
  const c2 = c * c
  const c7 = c2 * c2 * c2 * c
  return c7 / (c7 + P25_7)
}

/**
 * The rotation term R_T. It acts around blue (275°) only: beyond 110° it is under 1e-8. Hues count from 0° to
 * 360° and do not wrap here, so nothing lies more than 85° above.
 */
function rotation(x: number, y: number, chroma: number): number {
  const cosFromBlue = x * COS_275 + y * SIN_275
  if (cosFromBlue < -0.35) return 0
  const degrees = atan2(y * COS_275 - x * SIN_275, cosFromBlue) / RAD
  if (degrees >= 85) return 0
  const around = degrees / 25
  return -2 * sin(60 * RAD * exp(-around * around)) * sqrt(share7(chroma))
}

/** What a difference means to a maker. Bounds are start values of Fika. */
export function differenceInWords(deltaE: number): 'cannot tell' | 'side by side only' | 'plain' {
  if (deltaE < 1) return 'cannot tell'
  return deltaE < 3 ? 'side by side only' : 'plain'
}
