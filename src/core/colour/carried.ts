import { Invalid } from '../errors'
import { filmOfMix, overCard, type FilmPaint } from './film'

/** A paint in a mix that is carried by medium and water. */
export interface CarriedPaint extends FilmPaint {
  /** Volume, in the unit of what carries it. */
  readonly amount: number
}

/** What a pour leaves wet on the surface, and what a drawdown of the usual film is laid with, mm. Start values of Fika. */
const POURED_MM = 0.8
const DRAWN_MM = 0.15

/** A film is said to cover from this contrast ratio on. Start value of Fika. */
export const COVERS = 0.7

/**
 * How a poured mix hides once it is dry. A pour leaves a film of a certain wet thickness, and of that only the paint
 * hides: the same paint at 7 : 1 hides and colours less than at 2 : 1, and watered less than not.
 * @param carrier volume of all that is not paint
 * @returns the contrast ratio of the film (Y over black ÷ Y over white, ISO 6504-3)
 * @throws Invalid where there is no paint in it
 */
export const carriedContrast = (paints: readonly CarriedPaint[], carrier: number): number =>
  pouredFilm(paints, carrier)(1)

/**
 * How many times as much of its paint a mix needs to hide so well, everything else as it is.
 * @returns 1 where it does already; undefined where even paint alone does not
 */
export function paintFor(paints: readonly CarriedPaint[], carrier: number, contrast = COVERS): number | undefined {
  const at = pouredFilm(paints, carrier)
  if (at(1) >= contrast) return 1
  let [low, high] = [1, 2]
  while (at(high) < contrast) {
    high *= 2
    if (high > 1e4) return undefined
  }
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2
    if (at(middle) < contrast) low = middle
    else high = middle
  }
  return high
}

/** Contrast ratio of the film a pour leaves by how many times the paint is in it: more of it only makes it thicker. */
function pouredFilm(paints: readonly CarriedPaint[], carrier: number): (times: number) => number {
  const amounts = paints.map((p) => p.amount)
  const total = amounts.reduce((a, b) => a + b, 0)
  if (!(total > 0)) throw new Invalid('There is no paint in it, so nothing hides. Choose a paint.')
  const usual = filmOfMix(paints, amounts)
  return (times) => {
    const share = (total * times) / (total * times + carrier)
    return overCard({ ...usual, thickness: (POURED_MM / DRAWN_MM) * share * usual.thickness }).contrastRatio
  }
}
