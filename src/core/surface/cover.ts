import { clipTo, cut, polygonArea, type Point } from './polygon'
import { outline, type Shape } from './shapes'

/** A straight line across a face: turned by degrees from upright, and moved off the middle to its right, mm. */
export interface SplitLine {
  readonly turnDeg: number
  readonly offsetMm: number
}

/**
 * Share of the face that is poured on, 0–1: what a region that is kept free leaves of it, or else the share as given.
 * A region that hangs over the edge counts as far as it lies on the face.
 */
export function coveredShare(shape: Shape, cover: number, free: readonly Point[] | null): number {
  if (!free || free.length < 3) return cover
  const face = outline(shape)
  return Math.max(0, 1 - polygonArea(clipTo(free, face)) / polygonArea(face))
}

/** The parts of the face on either side of a line: first that on its left where it stands upright. */
export function splitFace(shape: Shape, line: SplitLine): readonly [Point[], Point[]] {
  const a = (line.turnDeg * Math.PI) / 180
  const side = ([x, y]: Point) => line.offsetMm - (x * Math.cos(a) + y * Math.sin(a))
  const face = outline(shape)
  return [cut(face, side), cut(face, (p) => -side(p))]
}

/** Share of the face on either side of a line; together 1. */
export function splitShares(shape: Shape, line: SplitLine): readonly [number, number] {
  const [a, b] = splitFace(shape, line).map(polygonArea) as [number, number]
  return [a / (a + b), b / (a + b)]
}
