import { WHITE } from './observer'
import { hexToSrgb, linearToXyz, srgbToHex, toGamma, toLinear, xyzToLinear, type Triple } from './srgb'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { cbrt, hypot, atan2, cos, sin } = Math

const EPSILON = 216 / 24389
const KAPPA = 24389 / 27
const f = (t: number) => (t > EPSILON ? cbrt(t) : (KAPPA * t + 16) / 116)
const fInverse = (t: number) => (t ** 3 > EPSILON ? t ** 3 : (116 * t - 16) / KAPPA)

const D65_WHITE: Triple = [WHITE.x, WHITE.y, WHITE.z]

/** XYZ (Y of white 1) to CIE L*a*b* (CIE 015), relative to the white of sRGB unless another is given. */
export function xyzToLab(xyz: Triple, white: Triple = D65_WHITE): Triple {
  // Read by index: this runs once a candidate in every search, and destructuring costs as much as the roots.
  const fx = f(xyz[0] / white[0])
  const fy = f(xyz[1] / white[1])
  const fz = f(xyz[2] / white[2])
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)]
}

/** CIE L*a*b* to XYZ under D65. */
export function labToXyz([l, a, b]: Triple): Triple {
  const fy = (l + 16) / 116
  return [WHITE.x * fInverse(fy + a / 500), WHITE.y * fInverse(fy), WHITE.z * fInverse(fy - b / 200)]
}

/** sRGB in 0–1 to L*a*b*. */
export const srgbToLab = (rgb: Triple): Triple => xyzToLab(linearToXyz(rgb.map(toLinear) as Triple))
/** L*a*b* to sRGB in 0–1, not clipped. */
export const labToSrgb = (lab: Triple): Triple => xyzToLinear(labToXyz(lab)).map(toGamma) as Triple
/** L*a*b* to `#rrggbb`, clipped to what a screen shows. */
export const labToHex = (lab: Triple): string => srgbToHex(labToSrgb(lab))
/** `#rrggbb` to L*a*b*. @throws Invalid */
export const hexToLab = (hex: string): Triple => srgbToLab(hexToSrgb(hex))
/** C*ab. */
export const chroma = ([, a, b]: Triple) => hypot(a, b)
/** h_ab in degrees, 0 ≤ h < 360. */
export const hue = ([, a, b]: Triple) => ((atan2(b, a) * 180) / Math.PI + 360) % 360
/** L*, C*ab and h_ab in degrees. */
export const labToLch = (lab: Triple): Triple => [lab[0], chroma(lab), hue(lab)]
/** The inverse of `labToLch`. */
export const lchToLab = ([l, c, h]: Triple): Triple => [l, c * cos((h * Math.PI) / 180), c * sin((h * Math.PI) / 180)]
