import { footprint, type Shape } from '../surface/shapes'
import type { Point } from '../surface/polygon'
import type { Lean } from '../tilt/hand'

/** Corners of a face as the maker sees it. Of a round: the four ways between up, down and the sides. */
export const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const
export type Corner = (typeof CORNER_NAMES)[number]
/** Its sides. */
export const EDGE_NAMES = ['top', 'right', 'bottom', 'left'] as const
export type Edge = (typeof EDGE_NAMES)[number]

/** Where corners lie, mm from the middle. */
export function cornerPoint(shape: Shape, corner: Corner): Point {
  const { lengthMm, widthMm } = footprint(shape)
  return [(corner.endsWith('left') ? -lengthMm : lengthMm) / 2, (corner.startsWith('top') ? -widthMm : widthMm) / 2]
}

/** A place that is to stay, mm from the middle. */
export interface Kept {
  readonly at: Point
  readonly radiusMm: number
}

/**
 * The order corners are tilted to: the one farthest from what is to stay first, since paint that leaves pulls on what
 * lies behind it, and the nearest last, when there is little left to pull. Without keepers round the face. Common
 * practice, no published source; distances count from the nearest keeper's rim.
 */
export function cornerOrder(shape: Shape, keepers: readonly Kept[]): Corner[] {
  if (keepers.length === 0) return [...CORNER_NAMES]
  const far = (corner: Corner) => {
    const [x, y] = cornerPoint(shape, corner)
    return Math.min(...keepers.map((k) => Math.hypot(x - k.at[0], y - k.at[1]) - k.radiusMm))
  }
  return [...CORNER_NAMES].sort((a, b) => far(b) - far(a))
}

/** Edges a keeper touches or lies beside so closely that it would run over: there a strip of card holds the paint. */
export function stripEdges(shape: Shape, keepers: readonly Kept[]): Edge[] {
  const { lengthMm, widthMm } = footprint(shape)
  const [x, y] = [lengthMm / 2, widthMm / 2]
  return EDGE_NAMES.filter((edge) =>
    keepers.some(({ at, radiusMm }) => {
      const gap = edge === 'top' ? at[1] + y : edge === 'bottom' ? y - at[1] : edge === 'left' ? at[0] + x : x - at[0]
      return gap - radiusMm <= STRIP_MM
    }),
  )
}

/** So near an edge a keeper runs over it (trade: what lies within 25–50 mm of the edge runs off). */
const STRIP_MM = 25

/** Least lean that says a corner is meant, degrees. Start value of Fika. */
const MEANT_DEG = 3

/** The corners a rehearsed hand went to, in its order, each once. */
export function cornersOf(path: readonly Lean[]): Corner[] {
  const found: Corner[] = []
  for (const { x, y } of path) {
    if (Math.abs(x) < MEANT_DEG || Math.abs(y) < MEANT_DEG) continue
    const corner = `${y < 0 ? 'top' : 'bottom'} ${x < 0 ? 'left' : 'right'}` as Corner
    if (!found.includes(corner)) found.push(corner)
  }
  return found
}
