import { whitePoint, xyzUnder, type IlluminantName } from '@/core/colour/illuminant'
import { kOverS, toInternal, type Optics } from '@/core/colour/kubelkaMunk'
import { xyzToLab } from '@/core/colour/lab'
import { finish } from '@/core/colour/match/match'
import { mendSteps, type MendWish } from '@/core/colour/match/mend'
import { reflectanceToXyz, type Reflectance } from '@/core/colour/reflectance'
import { xyzToLinear, type Triple } from '@/core/colour/srgb'

/** R∞ from K/S (Kubelka & Munk 1931). */
export const rInfinity = (q: number) => 1 + q - Math.sqrt(q * q + 2 * q)

/** Distance in L*a*b*, the ΔE of 1976. */
export const deltaE76 = (one: Triple, two: Triple) => Math.hypot(one[0] - two[0], one[1] - two[1], one[2] - two[2])

/** Linear sRGB of a reflectance. */
export const reflectanceToLinear = (r: ArrayLike<number>): Triple => xyzToLinear(reflectanceToXyz(r))

/** L*a*b* of a reflectance as seen under an illuminant, relative to that illuminant's white. */
export const labUnder = (light: IlluminantName, reflectance: ArrayLike<number>): Triple =>
  xyzToLab(xyzUnder(light, reflectance), whitePoint(light))

/** Mending in one go. */
export const mend = (target: Reflectance, cup: Optics, paints: readonly Optics[], wish: MendWish) =>
  finish(mendSteps(target, cup, paints, wish))

/**
 * K and S in closed form from a masstone and a tint without noise: with q = K/S, S = S_w (1 − c)/c · (q_t − q_w)/(q_m − q_t)
 * and K = q_m S; what the fit must come to where nothing scatters.
 * @param whiteShare share of white in the tint, 0–1
 */
export function opticsFromTint(masstone: Reflectance, tint: Reflectance, whiteShare: number, white: Optics): Optics {
  const ratio = (r: number) => kOverS(toInternal(r))
  const s = Float64Array.from(masstone, (r, i) => {
    const [qm, qt, qw] = [ratio(r), ratio(tint[i]!), white.k[i]! / white.s[i]!]
    return (white.s[i]! * whiteShare * (qt - qw)) / ((1 - whiteShare) * (qm - qt))
  })
  return { k: s.map((v, i) => v * ratio(masstone[i]!)), s }
}
