import { forecast, type Belief } from './dilution'
import { thinWithin } from './waterAdvice'

/** A bottle as the strip compares it. */
export interface Compared {
  readonly id: string
  readonly belief: Belief
  readonly w: number
  readonly undilutedUl: number
  /** Water that may still go in by the house's limit, µl. */
  readonly roomUl: number
}

export interface Beside {
  readonly id: string
  /** Its level time now, s. */
  readonly levelTimeS: number
  /** Level time ÷ that of the reference: above 1 it is thicker. */
  readonly thicker: number
  /** Water that makes it like the reference, µl, never past the limit; 0 where it is as thin or thinner. */
  readonly waterUl: number
  /** Medium that does what water may not, µl. */
  readonly mediumUl: number
  readonly verdict: 'alike' | 'thicker' | 'thinner'
}

/** Two mixes nearer than this pour alike: ratio of their level times. Start value of Fika. */
export const ALIKE = 1.2

/** Every bottle beside the reference: who is thicker, and how much water each needs to agree. */
export function besideReference(reference: Compared, bottles: readonly Compared[]): Beside[] {
  const aim = forecast(reference.belief, reference.w).lnT
  return bottles.map(({ id, belief, w, undilutedUl, roomUl }) => {
    const { lnT } = forecast(belief, w)
    const thicker = Math.exp(lnT - aim)
    const verdict = thicker > ALIKE ? 'thicker' : thicker < 1 / ALIKE ? 'thinner' : 'alike'
    const wantedUl = verdict === 'thicker' ? Math.round(((lnT - aim) / Math.max(belief.b, 0.5)) * undilutedUl) : 0
    return { id, levelTimeS: Math.exp(lnT), thicker, ...thinWithin(wantedUl, roomUl), verdict }
  })
}

/** A correction judged by eye beside the reference is as sure as this, σ of ln t. Start value of Fika. */
export const BY_EYE_SIGMA = 0.2

/** Water content w of a mix by what it holds: all its added water, the recipe's own included, ÷ the rest. */
export const waterContent = ({ ul, waterUl }: Watered) => (ul > waterUl ? waterUl / (ul - waterUl) : 0)

/** Water content after adding (or losing) water: w of a mix of `ul` µl now at `w`, after `waterUl` more. */
export const wAfter = (w: number, ul: number, waterUl: number) =>
  ul > 0 ? Math.max(-0.9, w + (waterUl * (1 + w)) / ul) : w

/** What a vessel holds in all, and how much of it is water of its own accord, µl. */
export interface Watered {
  readonly ul: number
  readonly waterUl: number
}

/**
 * Water content after something else was mixed in, or taken back out: the undiluted mix is taken to have the same
 * share of water of its own on both sides. In its own ratio nothing changes; with fresh, unwatered mix it falls.
 * @param w before
 */
export function wAfterMixing(w: number, before: Watered, after: Watered): number {
  if (before.ul <= 0 || after.ul <= after.waterUl) return w
  const own = (before.waterUl / before.ul) * (1 + w) - w
  const share = after.waterUl / after.ul
  return Math.max(-0.9, (share - own) / (1 - share))
}

/** Volume of all but the water in `ul` µl at `w`. */
export const undiluted = (w: number, ul: number) => ul / (1 + w)
