import type { Triple } from '../colour/srgb'
import type { Quad } from '../surface/homography'
import type { Shape } from '../surface/shapes'
import { findCells, type Cell } from './cells'
import { components } from './components'
import { composition, type Composition } from './composition'
import { cellsApartFromLacing } from './meshes'
import { findLines, lacingOf, type Lacing } from './lacing'
import { squaredDepth } from './distance'
import { findLight, placed, type Light } from './light'
import { lookHere, type LookHere } from './lookHere'
import { photoColour, type PhotoColour } from './palette'
import type { Face, Picture } from './picture'
import { quietShares } from './quiet'
import { rectify } from './rectify'
import { mainColour, segment, sharesOf, type Segmented } from './segment'
import { trustOf, type Trust } from './trust'

/** A colour that was poured: its bottle's swatch, and its share of what was poured. */
export interface Poured {
  readonly hex: string
  readonly share: number
}

/** What a photo of a piece shows. */
export interface PhotoMeasures {
  readonly mmPerPx: number
  readonly faceMm2: number
  /** Its light was told by a card: then colours of two photos can be compared as they are. */
  readonly hasCard: boolean
  /** Where each colour lies in this photo, in even light, and the share of the face it takes. */
  readonly colours: readonly {
    readonly hex: string
    readonly lab: readonly [number, number, number]
    readonly seen: number
  }[]
  /** Share of the face that is quiet, colour by colour. */
  readonly quiet: readonly number[]
  readonly cells: readonly Cell[]
  readonly lacing: Lacing
  readonly composition: Composition
  /** Places to look at. Never counted as anything until the maker says so. */
  readonly lookHere: readonly LookHere[]
  readonly trust: Trust
}

/** Everything that is measured, and the maps it was measured on. */
export interface Measured {
  readonly face: Face
  readonly light: Light
  readonly measures: PhotoMeasures
  readonly segmented: Segmented
  /** Palette index at each pixel, specks cleared; −1 where nothing is measured. */
  readonly labels: Int16Array
  /** At least 0 where a pixel is of lacing. */
  readonly lacingOf: Int32Array
}

/**
 * Measures a piece from a photo: laid flat, light taken off, told apart by colour.
 * @param quad its corners as shares of the picture's width and height
 * @param poured its palette; at least one colour
 * @param card gains by a card in the photo, ln, where there is one
 * @throws Invalid where the corners make no face
 */
export function measurePhoto(
  picture: Picture,
  quad: Quad,
  shape: Shape,
  poured: readonly Poured[],
  card?: Triple,
): Measured {
  const face = rectify(picture, quad, shape)
  const bottles = poured.map((p) => photoColour(p.hex, p.share))
  const light = findLight(face, bottles, card)
  const palette = placed(face, light, bottles)
  const segmented = segment(face, light, palette)
  const { width, height, mmPerPx } = face
  const labels = withoutSpecks(segmented)
  const depth = squaredDepth(labels, width, height)
  const found = components(labels, width, height)
  let measured = 0
  for (let i = 0; i < labels.length; i++) if (labels[i]! >= 0) measured += 1
  const { cells, halos } = findCells(found, width, height, mmPerPx, measured)
  const isHalo = new Uint8Array(found.of.length)
  if (halos.size) for (let i = 0; i < isHalo.length; i++) if (halos.has(found.of[i]!)) isHalo[i] = 1
  const lines = findLines(labels, isHalo, depth, width, height, mmPerPx)
  const apart = cellsApartFromLacing(cells, found.of, lines, width, height, mmPerPx)
  const shares = sharesOf(segmented)
  const measures: PhotoMeasures = {
    mmPerPx,
    faceMm2: measured * mmPerPx * mmPerPx,
    hasCard: card !== undefined,
    colours: palette.map((c: PhotoColour, i) => ({ hex: c.hex, lab: c.lab, seen: shares[i]! })),
    quiet: quietShares(labels, depth, palette.length, width, height),
    cells: apart.cells,
    lacing: lacingOf(lines, apart.isLacing, width, height, mmPerPx),
    composition: composition(segmented),
    lookHere: lookHere(segmented),
    trust: trustOf(
      segmented,
      apart.cells.map((c) => c.diameterMm),
    ),
  }
  return {
    face,
    light,
    measures,
    segmented,
    labels,
    lacingOf: lines.of.map((c) => (c >= 0 && apart.isLacing(c) ? c : -1)),
  }
}

/** Specks smaller than this are noise, pixels. Start value of Fika. */
const SPECK_PX = 6

/** Palette index at each pixel: mixtures as their main colour, specks as what lies around them. */
function withoutSpecks({ labels, candidates, width, height }: Segmented): Int16Array {
  const main = candidates.map(mainColour)
  const out = new Int16Array(labels.length)
  for (let i = 0; i < out.length; i++) out[i] = labels[i]! < 0 ? -1 : main[labels[i]!]!
  const { of, list } = components(out, width, height)
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const c = of[i]!
      if (c < 0 || list[c]!.area >= SPECK_PX) continue
      const before = x > 0 && of[i - 1]! >= 0 ? out[i - 1]! : y > 0 && of[i - width]! >= 0 ? out[i - width]! : -1
      if (before >= 0) out[i] = before
    }
  return out
}
