import { Invalid } from '../errors'
import { deltaE00 } from './deltaE00'
import { srgbToLab } from './lab'
import { srgbToHex, toGamma, toLinear, type Triple } from './srgb'

/** Luminous reflectance of the reference card: white card or paper about 0.9, photographic grey 0.18 (from memory). */
export const CARDS = { white: 0.9, grey: 0.18 } as const
export type Card = keyof typeof CARDS

export interface PhotoSwatch {
  readonly hex: string
  readonly lab: Triple
  /** Median ΔE00 of the paint's pixels to the swatch: how even the patch is. */
  readonly spread: number
}

/** Share of pixels at the end of the scale above which a patch has lost its colour. */
const MOST_CLIPPED = 0.05
/** Pixels looked at for the spread. */
const SPREAD_SAMPLE = 400

const LINEAR = Float64Array.from({ length: 256 }, (_, i) => toLinear(i / 255))

/** Each channel's middle value in linear light: dust, bubbles and glints at either end do not move it. */
function middle(rgba: ArrayLike<number>): Triple {
  return [0, 1, 2].map((channel) => {
    const histogram = new Int32Array(256)
    const count = rgba.length / 4
    for (let i = channel; i < rgba.length; i += 4) histogram[rgba[i]!]! += 1
    // Mean of the middle half, so that the answer is finer than one step of the scale.
    let seen = 0
    let sum = 0
    let weight = 0
    for (let v = 0; v < 256; v++) {
      const from = Math.max(seen, count * 0.25)
      seen += histogram[v]!
      const inside = Math.max(0, Math.min(seen, count * 0.75) - from)
      sum += inside * LINEAR[v]!
      weight += inside
    }
    return sum / weight
  }) as Triple
}

function clipped(rgba: ArrayLike<number>): number {
  let n = 0
  for (let i = 0; i < rgba.length; i += 4) if (rgba[i]! >= 254 || rgba[i + 1]! >= 254 || rgba[i + 2]! >= 254) n += 1
  return n / (rgba.length / 4)
}

/**
 * Colour of a patch as the photo shows it, the middle of its pixels; no card, so no more true than the light it was
 * taken in. @param rgba RGBA bytes, sRGB, at least one pixel
 */
export const patchHex = (rgba: ArrayLike<number>): string => srgbToHex(middle(rgba).map(toGamma) as Triple)

/**
 * Colour of a paint in a photo that holds a white or grey card under the same light. Each channel is scaled in linear
 * light so that the card comes out neutral at its known reflectance.
 * @param card RGBA bytes of the card's patch, sRGB
 * @param paint RGBA bytes of the paint's patch
 * @throws Invalid where a patch is too small, or the card too dark or overexposed
 */
export function swatchFromPhoto(card: ArrayLike<number>, paint: ArrayLike<number>, kind: Card): PhotoSwatch {
  if (card.length < 64 || paint.length < 64)
    throw new Invalid('The marked patches are too small. Mark at least a fingertip of card and of paint.')
  if (clipped(card) > MOST_CLIPPED)
    throw new Invalid(
      'The card is overexposed in this photo. Take it again a little darker, without a glint on the card.',
    )
  const white = middle(card)
  if (Math.min(...white) < 0.005)
    throw new Invalid('The card is too dark in this photo. Take it again in more light, or mark the card anew.')
  const gain = white.map((w) => CARDS[kind] / w)
  const balance = (linear: readonly number[]): Triple =>
    linear.map((v, k) => toGamma(Math.min(1, Math.max(0, v * gain[k]!)))) as Triple
  const rgb = balance(middle(paint))
  const lab = srgbToLab(rgb)
  const step = Math.max(1, Math.floor(paint.length / 4 / SPREAD_SAMPLE)) * 4
  const distances: number[] = []
  for (let i = 0; i + 3 < paint.length; i += step)
    distances.push(
      deltaE00(lab, srgbToLab(balance([LINEAR[paint[i]!]!, LINEAR[paint[i + 1]!]!, LINEAR[paint[i + 2]!]!]))),
    )
  distances.sort((a, b) => a - b)
  return { hex: srgbToHex(rgb), lab, spread: distances[distances.length >> 1] ?? 0 }
}
