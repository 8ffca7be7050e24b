import type { Strength } from '../paint/properties'
import { kOverS, toInternal, type Optics } from './kubelkaMunk'
import { hexToLab } from './lab'
import { reflectanceFromHex, type Reflectance } from './reflectance'

/** K at the absorption peak by strength class, on a scale where white scatters 1. From trials, no published source. */
export const PEAK_K: Readonly<Record<Strength, number>> = { weak: 5, normal: 10, strong: 20, 'very strong': 50 }

/**
 * A coloured paint of normal strength scatters about half as much as white when light and a little more when dark;
 * the cap moves with the strength class. Without it mid-tones with a shallow absorption peak swallow every mix.
 */
const LIGHT_CAP = 0.5
const DARK_CAP = 0.7

/**
 * Optics of a paint known by its masstone only: flat S, K scaled by the strength class. The colour of the paint by
 * itself is exact; how strongly it acts in a mix is an estimate until a tint is known.
 * @param reflectance masstone, 36 bands
 * @param lab the same colour as L*a*b*, which tells white and light paints from strong ones
 */
export function opticsFromMasstone(
  reflectance: Reflectance,
  lab: [number, number, number],
  strength: Strength,
): Optics {
  const q = reflectance.map((r) => kOverS(toInternal(Math.min(r, 0.9999))))
  const scale = strengthScale(q, lab, strength)
  return { k: q.map((v) => v * scale), s: new Float64Array(q.length).fill(scale) }
}

/** Whether a masstone is a white: whites define the scale of K and S. */
export const isWhite = ([l, a, b]: readonly [number, number, number]) => l > 90 && Math.hypot(a, b) < 10

function strengthScale(q: Float64Array, lab: [number, number, number], strength: Strength): number {
  const [lightness] = lab
  if (isWhite(lab)) return strength === 'weak' ? 0.4 : 1
  // The sixth-largest band, so that one dark band does not speak for all.
  const peak = Float64Array.from(q).sort()[q.length - 6]!
  const darkness = Math.min(1, Math.max(0, (60 - lightness) / 25))
  const cap = LIGHT_CAP + (DARK_CAP - LIGHT_CAP) * darkness
  return Math.min(PEAK_K[strength] / peak, (cap * PEAK_K[strength]) / PEAK_K.normal)
}

/** Optics of a paint from its swatch colour. @throws Invalid when `hex` is not a colour */
export const opticsFromHex = (hex: string, strength: Strength): Optics =>
  opticsFromMasstone(reflectanceFromHex(hex), hexToLab(hex), strength)
