import type { Strength } from '../paint/properties'
import { ratioOf, type Optics } from './kubelkaMunk'
import { hexToLab } from './lab'
import { reflectanceFromHex, type Reflectance } from './reflectance'
import type { SpectrumFrom } from './steadied'

/** K at the absorption peak by strength class, on a scale where white scatters 1. From trials, no published source. */
export const PEAK_K: Readonly<Record<Strength, number>> = { weak: 5, normal: 10, strong: 20, 'very strong': 50 }

/**
 * A coloured paint of normal strength scatters about half as much as white when light and a little more when dark;
 * the cap moves with the strength class. Without it mid-tones with a shallow absorption peak swallow every mix.
 */
const LIGHT_CAP = 0.5
const DARK_CAP = 0.7

/** Reflectance about which a swatch is so dark that its hex tells nothing of its tint. Start value of Fika. */
const NEAR_BLACK = 0.01

/**
 * Optics of a paint known by its masstone only: flat S, K scaled by the strength class. The colour of the paint by
 * itself is exact; how strongly it acts in a mix is an estimate until a tint is known.
 * @param reflectance masstone, 36 bands
 * @param from a near-black rebuilt from its colour says nothing of its bands: it tints neutrally until more is known
 * @param lab the same colour as L*a*b*, which tells white and light paints from strong ones
 */
export function opticsFromMasstone(
  reflectance: Reflectance,
  lab: [number, number, number],
  strength: Strength,
  from: SpectrumFrom = 'hex',
): Optics {
  const ratio = reflectance.map(ratioOf)
  // A rebuilt black differs from band to band by less than can be seen, and its K/S would by ten times.
  const floor = from === 'hex' ? NEAR_BLACK * Math.min(1, Math.max(0, 2 - Math.max(...reflectance) / NEAR_BLACK)) : 0
  const shape = floor > 0 ? reflectance.map((r) => ratioOf(Math.hypot(r, floor))) : ratio
  const scale = strengthScale(shape, lab, strength)
  const k = shape.map((v) => v * scale)
  return { k, s: k.map((v, i) => v / ratio[i]!) }
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
