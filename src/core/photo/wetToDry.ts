import { deltaE00 } from '../colour/deltaE00'
import { chroma } from '../colour/lab'
import type { Triple } from '../colour/srgb'
import { mapped, type Matrix3 } from '../surface/homography'
import type { Point } from '../surface/polygon'
import type { Cell } from './cells'
import type { PhotoMeasures } from './measurePhoto'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { hypot, max } = Math

/** How one colour changed from a wet photo to a dry one. */
export interface ColourChange {
  readonly hex: string
  readonly wet: Triple
  readonly dry: Triple
  readonly deltaE: number
  /** Change of L* and of C*. */
  readonly lighter: number
  readonly stronger: number
  /** Share of the face seen wet and dry. */
  readonly wetShare: number
  readonly dryShare: number
}

/** What became of the cells. */
export interface CellChange {
  readonly stayed: number
  readonly grown: number
  readonly lost: number
  readonly come: number
}

export interface WetToDry {
  readonly colours: readonly ColourChange[]
  /** Undefined where the cells of one of the photos cannot be trusted. */
  readonly cells: CellChange | undefined
}

/** A colour must take so much of the face in both photos to be compared. Start value of Fika. */
const SEEN = 0.02
/** A cell is the same where its middle moved no more than this share of its diameter, and one millimetre. Start value of Fika. */
const MOVED = 0.5
/** A cell has grown from this ratio of diameters on. Start value of Fika. */
const GREW = 1.15

/**
 * What changed from wet to dry.
 * @param map as `register` gives it: from the wet face to the dry, both axes 0–1
 * @param size of the face, mm
 */
export function wetToDry(
  wet: PhotoMeasures,
  dry: PhotoMeasures,
  map: Matrix3,
  size: { readonly lengthMm: number; readonly widthMm: number },
): WetToDry {
  const colours = wet.colours.flatMap((w): ColourChange[] => {
    const d = dry.colours.find((c) => c.hex === w.hex)
    if (!d || w.seen < SEEN || d.seen < SEEN) return []
    const [before, after] = [[...w.lab] as Triple, [...d.lab] as Triple]
    return [
      {
        hex: w.hex,
        wet: before,
        dry: after,
        deltaE: deltaE00(before, after),
        lighter: after[0] - before[0],
        stronger: chroma(after) - chroma(before),
        wetShare: w.seen,
        dryShare: d.seen,
      },
    ]
  })
  const isShown = wet.trust.not.cells === undefined && dry.trust.not.cells === undefined
  return { colours, cells: isShown ? cellChange(wet.cells, dry.cells, map, size) : undefined }
}

function cellChange(
  wet: readonly Cell[],
  dry: readonly Cell[],
  map: Matrix3,
  { lengthMm, widthMm }: { readonly lengthMm: number; readonly widthMm: number },
): CellChange {
  const placed = ([x, y]: Point): Point => {
    const [u, v] = mapped(map, [x / lengthMm, y / widthMm])
    return [lengthMm * u, widthMm * v]
  }
  const left = new Set(dry)
  let [stayed, grown, lost] = [0, 0, 0]
  for (const c of wet) {
    const at = placed(c.at)
    const same = [...left]
      .map((d) => ({ d, off: hypot(d.at[0] - at[0], d.at[1] - at[1]) }))
      .filter(({ d, off }) => off <= 1 + MOVED * max(c.diameterMm, d.diameterMm))
      .sort((a, b) => a.off - b.off)[0]
    if (!same) {
      lost += 1
      continue
    }
    left.delete(same.d)
    if (same.d.diameterMm >= GREW * c.diameterMm) grown += 1
    else stayed += 1
  }
  return { stayed, grown, lost, come: left.size }
}
