import { deltaE00 } from './deltaE00'
import { whitePoint, xyzUnder, type IlluminantName } from './illuminant'
import { xyzToLab } from './lab'
import type { Triple } from './srgb'

/**
 * Special metamerism index, change of illuminant: ΔE00 of two colours in another light once what already differs in
 * daylight is taken out, by scaling the second's XYZ with what the two differ by under D65 (multiplicative
 * correction, CIE 015, section 9).
 * @param one reflectance, 36 bands
 * @param two reflectance, 36 bands
 */
export function metamerismIndex(one: ArrayLike<number>, two: ArrayLike<number>, light: Exclude<IlluminantName, 'D65'>) {
  const [a65, b65] = [xyzUnder('D65', one), xyzUnder('D65', two)]
  const b = xyzUnder(light, two).map((v, k) => (b65[k]! > 0 ? (v * a65[k]!) / b65[k]! : v)) as Triple
  const white = whitePoint(light)
  return deltaE00(xyzToLab(xyzUnder(light, one), white), xyzToLab(b, white))
}
