import type { Body, Opacity } from '../paint/properties'
import { BANDS, W_Y } from './observer'
import { internalOf, mixOptics, toMeasured, type Optics } from './kubelkaMunk'
import type { Reflectance } from './reflectance'

/**
 * Contrast ratio of a usual film by opacity class. Opaque: at least 0.98 (ISO 6504-3, from memory); the others lie
 * within their class as `opacityOf` has it. Start values of Fika.
 */
export const CLASS_CONTRAST: Readonly<Record<Opacity, number>> = {
  opaque: 0.99,
  'semi-opaque': 0.95,
  'semi-transparent': 0.8,
  transparent: 0.3,
}
/** Thickness of a usual film by body, in the unit in which white of unit thickness has S X = 1. From trials. */
export const FILM_THICKNESS: Readonly<Record<Body, number>> = {
  heavy: 10,
  soft: 7,
  craft: 5,
  fluid: 5,
  ready: 4,
  ink: 2.5,
}

/** Reflectances of the two halves of a drawdown card: unprinted white and printed black, internal. From memory. */
const CARD_WHITE = 0.85
const CARD_BLACK = 0.01

/**
 * Internal reflectance of a film of thickness X over a backing, one band (Kubelka & Munk 1931, Kubelka 1948):
 * R = (1 − Rg (a − b coth bSX)) / (a − Rg + b coth bSX), a = 1 + K/S, b = √(a² − 1). Limits: R∞ for a thick film,
 * SX/(1 + SX) over black without absorption, Rg e^(−2KX) without scattering.
 * @param k absorption, @param s scattering, both per unit of thickness
 * @param backing internal reflectance of what lies beneath
 */
export function filmReflectance(k: number, s: number, thickness: number, backing: number): number {
  if (thickness <= 0) return backing
  if (s * thickness < 1e-9) return backing * Math.exp(-2 * k * thickness)
  if (k < 1e-9 * s) {
    const sx = s * thickness
    return (sx + backing * (1 - sx)) / (1 + sx * (1 - backing))
  }
  const a = 1 + k / s
  const b = Math.sqrt(a * a - 1)
  const coth = 1 / Math.tanh(b * s * thickness)
  return (1 - backing * (a - b * coth)) / (a - backing + b * coth)
}

/** A film on its own: its colour by K/S, how much of it scatters, how thick it lies. */
export interface Film {
  readonly optics: Optics
  /** Scattering of the film per unit of thickness, white = 1. K follows from the K/S of `optics`. */
  readonly scatter: number
  /** See `FILM_THICKNESS`. */
  readonly thickness: number
}

/**
 * Reflectance, 36 bands, of films laid one over another on a backing; seen from above, so the surface's own
 * reflection (Saunderson) acts once, at the top.
 * @param films from the bottom up
 * @param backing reflectance of the ground, 36 bands, as seen without paint
 */
export function layeredReflectance(films: readonly Film[], backing: ArrayLike<number>): Reflectance {
  return Float64Array.from({ length: BANDS }, (_, i) => {
    let r = internalOf(backing[i]!)
    for (const { optics, scatter, thickness } of films)
      r = filmReflectance((optics.k[i]! / optics.s[i]!) * scatter, scatter, thickness, r)
    return toMeasured(r)
  })
}

export interface OverCard {
  readonly overWhite: Reflectance
  readonly overBlack: Reflectance
  /** Y over black ÷ Y over white (ISO 6504-3). */
  readonly contrastRatio: number
}

/** A film over a drawdown card's white and black. */
export function overCard(film: Film): OverCard {
  const card = (internal: number) => layeredReflectance([film], new Float64Array(BANDS).fill(toMeasured(internal)))
  const [overWhite, overBlack] = [card(CARD_WHITE), card(CARD_BLACK)]
  const luminance = (r: Reflectance) => r.reduce((sum, v, i) => sum + v * W_Y[i]!, 0)
  return { overWhite, overBlack, contrastRatio: luminance(overBlack) / luminance(overWhite) }
}

/** The thickness from which a film hides: contrast ratio 0.98 (ISO 6504-3); undefined where none up to `most` does. */
export function hidingThickness(film: Film, most = 100): number | undefined {
  const hides = (thickness: number) => overCard({ ...film, thickness }).contrastRatio >= 0.98
  if (!hides(most)) return undefined
  let [low, high] = [0, most]
  for (let i = 0; i < 20; i++) {
    const middle = (low + high) / 2
    if (hides(middle)) high = middle
    else low = middle
  }
  return high
}

/** Scattering between which one is looked for: so little that even a black lets the card through, so much that white hides. */
const LEAST_SCATTER = 1e-7
const MOST_SCATTER = 500

/**
 * Scattering that gives a film a contrast ratio on a card, by bisection.
 * @returns undefined where no scattering does: less than bare card, or more than can be
 */
export function scatterFromContrast(optics: Optics, thickness: number, contrastRatio: number): number | undefined {
  const at = (scatter: number) => overCard({ optics, scatter, thickness }).contrastRatio
  let [low, high] = [LEAST_SCATTER, MOST_SCATTER]
  if (!(at(low) <= contrastRatio && at(high) >= contrastRatio)) return undefined
  for (let i = 0; i < 50; i++) {
    const middle = Math.sqrt(low * high)
    if (at(middle) < contrastRatio) low = middle
    else high = middle
  }
  return Math.sqrt(low * high)
}

/** What decides how a paint hides. */
export interface FilmPaint {
  readonly optics: Optics
  readonly opacity: Opacity
  /** As measured over a card, 0–1; stands before the opacity class. */
  readonly contrastRatio?: number | null
  readonly body: Body
}

/** Scattering of a paint's film that gives it the contrast ratio it was measured to have, else that of its class. */
export function paintScatter({ optics, opacity, contrastRatio, body }: FilmPaint): number {
  const thickness = FILM_THICKNESS[body]
  return (
    (contrastRatio ? scatterFromContrast(optics, thickness, contrastRatio) : undefined) ??
    scatterFromContrast(optics, thickness, CLASS_CONTRAST[opacity])!
  )
}

/**
 * The usual film of a mix: its colour, and the means of its paints' scattering and thickness by volume.
 * @param amounts volumes by paint, any unit, at least one above 0
 * @param scatterOf where it is known already: it is searched for, which takes a while
 */
export function filmOfMix<P extends FilmPaint>(
  paints: readonly P[],
  amounts: readonly number[],
  scatterOf: (p: P) => number = paintScatter,
): Film {
  const total = amounts.reduce((a, b) => a + b, 0)
  const mean = (value: (p: P) => number) => paints.reduce((sum, p, i) => sum + (amounts[i]! / total) * value(p), 0)
  return {
    optics: mixOptics(
      paints.map((p) => p.optics),
      amounts,
    ),
    scatter: mean(scatterOf),
    thickness: mean((p) => FILM_THICKNESS[p.body]),
  }
}
