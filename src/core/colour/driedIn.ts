import type { MediumKind } from '../paint/properties'
import { shiftWith, type Shift } from './mediumShift'
import type { Triple } from './srgb'

/** A mix painted out in a medium: what its paints come to by themselves, and what it dried to. */
export interface DriedPair {
  readonly computed: Triple
  readonly dried: Triple
  readonly medium: MediumKind | null
  readonly mediumShare: number
}

/**
 * What a milky medium leaves in the dried film: how mixes of some medium dry against what their paints come to by
 * themselves, lighter or duller. Nothing is taken for granted: without pairs of the studio there is no shift.
 */
export const driedInShift = (pairs: readonly DriedPair[], medium: MediumKind | null, mediumShare: number): Shift =>
  shiftWith(
    pairs.map(({ computed, dried, ...p }) => ({ ...p, before: computed, after: dried })),
    medium,
    mediumShare,
    [0, 0],
  )

/** Less than this is not worth a word: L*, and share of chroma. Start values of Fika. */
const WORTH = { light: 0.5, chroma: 0.02 }

/** That shift in words: `1.2 lighter and 4 % duller`; nothing where there is none to speak of. */
export function driedInWords({ darker, chroma }: Shift): string | undefined {
  const duller = 1 - Math.exp(chroma)
  const said = [
    Math.abs(darker) >= WORTH.light ? `${Math.abs(darker).toFixed(1)} ${darker > 0 ? 'darker' : 'lighter'}` : '',
    Math.abs(duller) >= WORTH.chroma
      ? `${Math.round(100 * Math.abs(duller))} % ${duller > 0 ? 'duller' : 'more vivid'}`
      : '',
  ].filter(Boolean)
  return said.length ? said.join(' and ') : undefined
}
