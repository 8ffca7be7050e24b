import type { Of } from '../plan/design'
import type { Readings } from './rehearsal'

/** What a rehearsal that is kept tells of one colour: shares of what was poured, and of the face, 0–1. */
export interface ToldColour {
  readonly of: Of
  readonly hex: string
  readonly label: string
  /** Kinematic viscosity it was rehearsed with, as read, mm²/s; older ones did not keep it. */
  readonly nu?: number
  readonly kept: number
  readonly seen: number
}

/** What is kept of the readings at the end. Lengths in mm, volumes in µl of one piece. */
export interface Told {
  readonly seconds: number
  readonly meanMm: number
  readonly leftUl: number
  readonly offUl: number
  readonly covered: number
  readonly edgeWet: number
  readonly colours: readonly ToldColour[]
  /** Of each keeper that was marked, what is still there, 0–1. */
  readonly keepers: readonly number[]
}

/** Readings as they are kept. @param colours in the order of the readings */
export function toldOf(r: Readings, colours: readonly Pick<ToldColour, 'of' | 'hex' | 'label' | 'nu'>[]): Told {
  const share = (x: number) => Math.min(1, Math.max(0, x))
  return {
    seconds: r.seconds,
    meanMm: r.meanMm,
    leftUl: Math.round(r.leftUl),
    offUl: Math.round(r.ranOffUl),
    covered: share(r.covered),
    edgeWet: share(r.edgeWet),
    colours: colours.map((c, i) => ({ ...c, kept: share(r.kept[i]!), seen: share(r.seen[i]!) })),
    keepers: r.keepers.map((k) => share(k.share)),
  }
}
