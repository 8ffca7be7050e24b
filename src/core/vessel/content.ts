import { mustBeAmounts } from '../mustBe'
import { NotEnough } from '../errors'
import { formatMl } from '../quantity/format'
import { apportion } from '../mix/apportion'

/** What one vessel holds of one lot. `ul` whole microlitres ≥ 0. */
export interface Portion {
  readonly lotId: string
  readonly ul: number
}

/** Total of a content in µl. */
export const contentUl = (content: readonly Portion[]) => content.reduce((sum, p) => sum + p.ul, 0)

/** A text that is the same for the same lots in the same amounts, in whatever order, and for nothing else. */
export const contentKey = (content: readonly Portion[]) =>
  content
    .filter((p) => p.ul > 0)
    .map((p) => `${p.lotId}:${p.ul}`)
    .sort()
    .join(' ')

/** So much of a content, every lot in proportion: whole microlitres that sum to `ul` exactly, nothing of 0. */
export function inProportion(content: readonly Portion[], ul: number): Portion[] {
  mustBeAmounts('A volume', [ul, ...content.map((p) => p.ul)])
  const shares = apportion(
    ul,
    content.map((p) => p.ul),
  )
  return content.map((p, i) => ({ lotId: p.lotId, ul: shares[i]! })).filter((p) => p.ul > 0)
}

/**
 * What leaves a vessel when `ul` is taken: every lot in proportion, whole microlitres, summing to `ul` exactly.
 * @throws NotEnough naming the vessel, with what to do
 */
export function takeFrom(vessel: { id: string; label: string; content: readonly Portion[] }, ul: number): Portion[] {
  const have = contentUl(vessel.content)
  if (ul > have)
    throw new NotEnough(
      `${vessel.label} holds ${formatMl(have)} and ${formatMl(ul)} is wanted. Mix ${formatMl(ul - have)} more, or take less.`,
      { vesselId: vessel.id, haveUl: have, needUl: ul },
    )
  return inProportion(vessel.content, ul)
}

/**
 * The same of what was poured already: more than the books say was in it was found there, of the same composition.
 * @returns what the vessel gives by the books, and what is found besides; whole microlitres that sum to `ul`
 * @throws NotEnough where it is empty by the books, so that nobody knows what was found
 */
export function takePoured(
  vessel: { id: string; label: string; content: readonly Portion[] },
  ul: number,
): { taken: Portion[]; found: Portion[] } {
  const have = contentUl(vessel.content)
  if (have === 0 || ul <= have) return { taken: takeFrom(vessel, ul), found: [] }
  return { taken: takeFrom(vessel, have), found: inProportion(vessel.content, ul - have) }
}
