import { mixToXyz, type Optics } from './kubelkaMunk'
import { xyzToLab } from './lab'
import { srgbToHex, toGamma, xyzToLinear, type Triple } from './srgb'

/** L*a*b* of a mix of paints by volume. See `mixReflectance`. */
export const mixToLab = (paints: readonly Optics[], amounts: readonly number[]): Triple =>
  xyzToLab(mixToXyz(paints, amounts))

/** `#rrggbb` of a mix of paints by volume, clipped to the gamut of the screen; undefined where nothing has colour. */
export function mixToHex(paints: readonly Optics[], amounts: readonly number[]): string | undefined {
  if (!amounts.some((a) => a > 0)) return undefined
  const linear = xyzToLinear(mixToXyz(paints, amounts))
  return srgbToHex(linear.map((c) => toGamma(Math.max(0, c))) as Triple)
}
