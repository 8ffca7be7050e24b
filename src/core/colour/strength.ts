import { BANDS, W_X, W_Y, W_Z } from './observer'
import { mustBeAmounts } from '../mustBe'
import type { Optics } from './kubelkaMunk'

/** Parts of white that one part of a paint is let down in to compare strengths: a spoonful to a cup. Start value of Fika. */
const WHITE_PARTS = 50
/** More than so many parts of a weak paint nobody pours in. Start value of Fika. */
export const MOST_TIMES = 40

/** So many ml as one measures them: to a tenth below ten. */
export const depthText = (ml: number): string => `${ml.toFixed(ml < 9.95 ? 1 : 0)} ml`

/**
 * Depth of a paint let down in white that scatters 1 and absorbs nothing: K/S summed over the bands, each as much as the
 * eye sees of it (the integ value of depth of shade, from memory; K and S add by volume, Duncan 1940).
 * @param amount volume of paint to `WHITE_PARTS` of white
 */
function depth({ k, s }: Optics, amount: number): number {
  let sum = 0
  for (let i = 0; i < BANDS; i++)
    sum += ((W_X[i]! + W_Y[i]! + W_Z[i]!) * amount * k[i]!) / (WHITE_PARTS + amount * s[i]!)
  return sum
}

/**
 * How much of a weaker paint colours white as deep as one part of a stronger one.
 * @returns parts of `weak` to one of `strong`; undefined where even `weak` alone is not so deep
 * @throws Invalid for what is no number
 */
export function asDeepAs(weak: Optics, strong: Optics): number | undefined {
  mustBeAmounts('K and S of a paint', [...weak.k, ...weak.s, ...strong.k, ...strong.s])
  const wanted = depth(strong, 1)
  let [low, high] = [0, 1]
  while (depth(weak, high) < wanted) {
    high *= 2
    if (high > 1e4) return undefined
  }
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (depth(weak, middle) < wanted) low = middle
    else high = middle
  }
  return high
}
