import type { MediumKind } from '../paint/properties'
import { shifted, shiftWith, type Shift } from './mediumShift'
import type { Triple } from './srgb'

/** A colour seen wet and again dry, with what carried it. */
export interface WetDryPair {
  readonly wet: Triple
  readonly dry: Triple
  /** Null for paint alone. */
  readonly medium: MediumKind | null
  /** Share of medium in the whole, by volume, 0–1. */
  readonly mediumShare: number
}

/**
 * How much lighter a pure medium makes a mix while wet, in L*: the milkier, the more. Start values
 * of Fika; the studio's own pairs replace them.
 */
const MILKY: Readonly<Record<MediumKind, number>> = {
  conditioner: 5,
  'pouring medium': 4,
  'gloss medium': 4,
  glue: 6,
  'anti-craze medium': 4,
  'enamel or house paint': 1,
  'clear varnish': 4,
  'one-bottle base': 4,
}
/** What paint alone darkens by, L*. Start value of Fika. */
const PAINT_DARKENS = 1.5

/** How a mix shifts from wet to dry: start values by kind of medium, bent towards the studio's own pairs of that kind. */
export const wetDryShift = (pairs: readonly WetDryPair[], medium: MediumKind | null, mediumShare: number): Shift =>
  shiftWith(
    pairs.map(({ wet, dry, ...p }) => ({ ...p, before: wet, after: dry })),
    medium,
    mediumShare,
    [PAINT_DARKENS, medium ? MILKY[medium] : 0],
  )

/** What a mix that looks like `wet` looks like dry. */
export const dryOf = (wet: Triple, shift: Shift): Triple => shifted(wet, shift)

/** What a mix that dries to `dry` looks like wet. */
export const wetOf = (dry: Triple, { darker, chroma }: Shift): Triple =>
  shifted(dry, { darker: -darker, chroma: -chroma })
