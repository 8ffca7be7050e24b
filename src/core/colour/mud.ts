import { anyFlakes } from '../paint/sheenOfMix'
import type { Sheen } from '../paint/properties'
import type { Optics } from './kubelkaMunk'
import { chroma } from './lab'
import { mixToHex, mixToLab } from './mixColour'
import type { Triple } from './srgb'

/** Both parents need this much chroma before a mix can be called mud; less than this share of it kept is mud. */
const COLOURFUL = 20
const KEPT = 0.5

export interface PairMix {
  /** What equal volumes turn into, `#rrggbb`, an estimate. */
  readonly hex: string
  readonly lab: Triple
  /** C* of the mix ÷ mean C* of the parents. */
  readonly chromaKept: number
  readonly muddy: boolean
}

/** A colour that may run into another. */
export interface Neighbour {
  readonly optics: Optics
  readonly lab: Triple
  readonly sheen: Sheen
}

/** What two paints become where they run into each other, 1 : 1 by volume. Flakes make no mud. */
export function pairMix(a: Neighbour, b: Neighbour): PairMix {
  const both = [a.optics, b.optics]
  const [ca, cb] = [chroma(a.lab), chroma(b.lab)]
  const mean = (ca + cb) / 2
  const lab = mixToLab(both, [1, 1])
  const chromaKept = mean === 0 ? 1 : chroma(lab) / mean
  return {
    hex: mixToHex(both, [1, 1])!,
    lab,
    chromaKept,
    muddy: !anyFlakes(a, b) && ca >= COLOURFUL && cb >= COLOURFUL && chromaKept < KEPT,
  }
}
