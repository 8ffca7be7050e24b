import { mixReflectance, type Optics } from './kubelkaMunk'
import { xyzToLab } from './lab'
import { BANDS } from './observer'
import { reflectanceToXyz } from './reflectance'
import { srgbToHex, toGamma, xyzToLinear, type Triple } from './srgb'

const scratch = new Float64Array(BANDS)

/** L*a*b* of a mix of paints by volume. See `mixReflectance`. */
export function mixToLab(paints: readonly Optics[], amounts: readonly number[]): Triple {
  return xyzToLab(reflectanceToXyz(mixReflectance(paints, amounts, scratch)))
}

/** `#rrggbb` of a mix of paints by volume, clipped to the gamut of the screen; undefined where nothing has colour. */
export function mixToHex(paints: readonly Optics[], amounts: readonly number[]): string | undefined {
  if (!amounts.some((a) => a > 0)) return undefined
  const linear = xyzToLinear(reflectanceToXyz(mixReflectance(paints, amounts, scratch)))
  return srgbToHex(linear.map((c) => toGamma(Math.max(0, c))) as Triple)
}
