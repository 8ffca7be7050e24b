import type { Point } from '../surface/polygon'
import { blobShape, type BlobShape } from './blobShape'
import type { Components } from './components'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { PI, max, min, sqrt } = Math

/** A closed, compact blob of one colour in others. */
export interface Cell {
  /** Its middle, mm from the top left of the face. */
  readonly at: Point
  /** Of the circle with the same area, mm; a halo is not counted. */
  readonly diameterMm: number
  /** Index in the palette. */
  readonly colour: number
  /** The colour of a ring around it; null where there is none. */
  readonly halo: number | null
}

/** Sizes of cells as makers speak of them, mm of diameter, each up to below the next. Start values of Fika. */
export const CELL_SIZES = [
  { name: 'specks', fromMm: 0 },
  { name: 'small', fromMm: 3 },
  { name: 'middling', fromMm: 8 },
  { name: 'large', fromMm: 16 },
] as const

/** Least solidity and axis ratio of a cell, most of the face it takes, least size. Start values of Fika. */
const CELL = { solidity: 0.86, axisRatio: 0.5, ofFace: 0.1, leastMm: 1.2, leastPx: 5 } as const
/** A ring of which so much is its hole, is the halo of what lies in it. Start value of Fika. */
const HALO_HOLE = 0.3
/** Boxes larger than this are no cells, mm. */
const WIDEST_MM = 90

interface Blob extends BlobShape {
  readonly id: number
  readonly colour: number
  readonly area: number
}

/** Cells, and which components are their halos. */
export interface FoundCells {
  readonly cells: readonly (Cell & { readonly component: number })[]
  readonly halos: ReadonlySet<number>
}

/**
 * Cells among the areas of one colour each: closed (they touch neither rim nor glare), compact, and not too large.
 * @param face pixels of the face that are measured
 */
export function findCells(
  { of, list }: Components,
  width: number,
  height: number,
  mmPerPx: number,
  face: number,
): FoundCells {
  const open = touching({ of, list }, width, height)
  const least = max(CELL.leastMm / mmPerPx, CELL.leastPx)
  const blobs = new Map<number, Blob>()
  list.forEach((c, id) => {
    if (open.has(id) || max(c.x1 - c.x0, c.y1 - c.y0) * mmPerPx > WIDEST_MM) return
    if (min(c.x1 - c.x0, c.y1 - c.y0) + 1 < 0.6 * least) return
    blobs.set(id, { id, colour: c.label, area: c.area, ...blobShape(of, width, id, c) })
  })
  const isCompact = (b: Blob) =>
    b.solidity >= CELL.solidity &&
    b.axisRatio >= CELL.axisRatio &&
    b.filled <= CELL.ofFace * face &&
    2 * sqrt(b.filled / PI) >= least
  const halos = new Set<number>()
  const haloOf = new Map<number, number>()
  for (const ring of blobs.values()) {
    if (ring.solidity < 0.8) continue
    const core = ring.inside
      .map((id) => blobs.get(id))
      .filter((b): b is Blob => b !== undefined && b.filled >= HALO_HOLE * ring.filled)
      .sort((a, b) => b.filled - a.filled)[0]
    if (!core || !isCompact(core) || ring.area > 0.7 * ring.filled) continue
    halos.add(ring.id)
    haloOf.set(core.id, ring.colour)
  }
  const cells = [...blobs.values()]
    .filter((b) => !halos.has(b.id) && isCompact(b))
    .map((b) => ({
      component: b.id,
      at: [(b.middle[0] + 0.5) * mmPerPx, (b.middle[1] + 0.5) * mmPerPx] as const,
      diameterMm: 2 * sqrt(b.filled / PI) * mmPerPx,
      colour: b.colour,
      halo: haloOf.get(b.id) ?? null,
    }))
  return { cells, halos }
}

/** Components that touch what is not measured: the rim of the face, glare, the picture's end. */
function touching({ of }: Components, width: number, height: number): Set<number> {
  const open = new Set<number>()
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const c = of[i]!
      if (c < 0) continue
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) open.add(c)
      else if (of[i - 1]! < 0 || of[i + 1]! < 0 || of[i - width]! < 0 || of[i + width]! < 0) open.add(c)
    }
  return open
}
