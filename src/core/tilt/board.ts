import { Invalid } from '../errors'
import { mustBeAbove0 } from '../mustBe'
import type { Point } from '../surface/polygon'
import { footprint, outline, type Shape } from '../surface/shapes'

/**
 * A face as square cells. Cell (i, j) lies at index j · nx + i, its middle `xOf(i)`, `yOf(j)` mm right and down of the
 * middle of the face, as plans count.
 */
export interface Board {
  readonly nx: number
  readonly ny: number
  readonly cellMm: number
  /** 1 where the middle of the cell lies on the face. */
  readonly inside: Uint8Array
  /** How many cells lie on the face. */
  readonly cells: number
  /** Unbroken stretches of cells in rows and in columns, three numbers each: line, first cell, last cell. */
  readonly rows: Int32Array
  readonly columns: Int32Array
}

/** Most cells a board is worked out on: 2 mm on a metre square. */
export const MOST_CELLS = 250_000

export const xOf = (b: Board, i: number) => (i + 0.5 - b.nx / 2) * b.cellMm
export const yOf = (b: Board, j: number) => (j + 0.5 - b.ny / 2) * b.cellMm

/** A board of given cells, where a test wants one without a surface. `inside` says which belong to it. */
export function boardOf(nx: number, ny: number, cellMm: number, isInside: (i: number, j: number) => boolean): Board {
  const inside = new Uint8Array(nx * ny)
  let cells = 0
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++)
      if (isInside(i, j)) {
        inside[j * nx + i] = 1
        cells++
      }
  return {
    nx,
    ny,
    cellMm,
    inside,
    cells,
    rows: runsOf(ny, nx, (j, i) => inside[j * nx + i] === 1),
    columns: runsOf(nx, ny, (i, j) => inside[j * nx + i] === 1),
  }
}

function runsOf(lines: number, along: number, isIn: (line: number, k: number) => boolean): Int32Array {
  const runs: number[] = []
  for (let line = 0; line < lines; line++) {
    let from = -1
    for (let k = 0; k <= along; k++) {
      const on = k < along && isIn(line, k)
      if (on && from < 0) from = k
      if (!on && from >= 0) {
        runs.push(line, from, k - 1)
        from = -1
      }
    }
  }
  return Int32Array.from(runs)
}

/**
 * The face of a surface in cells of about a size.
 * @throws Invalid for a vessel or a measured area, which have no flat face to tilt, and for too many cells
 */
export function boardOfShape(shape: Shape, cellMm: number): Board {
  if (shape.shape === 'profile')
    throw new Invalid('A vase or bowl cannot be rehearsed: paint runs down it, not over a flat face.')
  if (shape.shape === 'area')
    throw new Invalid('A measured area has no shape to tilt. Give the surface its shape and size, then rehearse.')
  const { lengthMm, widthMm } = footprint(shape)
  mustBeAbove0('The size of the surface', lengthMm, widthMm, cellMm)
  const nx = Math.max(3, Math.round(lengthMm / cellMm))
  const ny = Math.max(3, Math.round(widthMm / cellMm))
  if (nx * ny > MOST_CELLS) throw new Invalid('This surface is too large to rehearse so finely. Take larger cells.')
  const on = within(shape)
  return boardOf(nx, ny, cellMm, (i, j) => on([(i + 0.5 - nx / 2) * cellMm, (j + 0.5 - ny / 2) * cellMm]))
}

/** Whether a place lies on the face; gaps between tiles do not. */
export function within(shape: Shape): (p: Point) => boolean {
  if (shape.shape === 'tiles') {
    const { lengthMm: l, widthMm: w } = footprint(shape)
    const onTile = (x: number, size: number, gap: number) => (x % (size + gap)) - size < 1e-9
    return ([x, y]) =>
      Math.abs(x) <= l / 2 &&
      Math.abs(y) <= w / 2 &&
      onTile(x + l / 2, shape.lengthMm, shape.gapMm) &&
      onTile(y + w / 2, shape.widthMm, shape.gapMm)
  }
  const corners = outline(shape)
  return ([x, y]) => {
    for (let k = 0; k < corners.length; k++) {
      const [ax, ay] = corners[k]!
      const [bx, by] = corners[(k + 1) % corners.length]!
      if ((bx - ax) * (y - ay) - (by - ay) * (x - ax) < -1e-9) return false
    }
    return true
  }
}

/** Cells of a size that keep a face below so many, whole mm from the finest asked for up. */
export function cellFor(shape: Shape, finestMm: number, most: number): number {
  const { lengthMm, widthMm } = footprint(shape)
  return Math.max(finestMm, Math.ceil(Math.sqrt((lengthMm * widthMm) / most)))
}
