import { Invalid } from '../errors'
import { mustBeNumbers } from '../mustBe'
import type { Point } from './polygon'

/** A 3 × 3 matrix row by row, of points (x, y, 1). */
export type Matrix3 = readonly [number, number, number, number, number, number, number, number, number]

/** Corners of a quadrilateral: top left, top right, bottom right, bottom left. */
export type Quad = readonly [Point, Point, Point, Point]

/** Corners of the unit square: those of a picture that shows the face and nothing else, as shares of its sides. */
export const WHOLE: Quad = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
]

/**
 * The projective map of the unit square onto a quadrilateral (Heckbert 1989, Fundamentals of Texture Mapping and Image
 * Warping, 2.2.3).
 * @throws Invalid for four places of which three lie in a line
 */
export function squareToQuad(quad: Quad): Matrix3 {
  mustBeNumbers('A corner', quad.flat())
  const [[x0, y0], [x1, y1], [x2, y2], [x3, y3]] = quad
  const [dx1, dx2, sx] = [x1 - x2, x3 - x2, x0 - x1 + x2 - x3]
  const [dy1, dy2, sy] = [y1 - y2, y3 - y2, y0 - y1 + y2 - y3]
  const det = dx1 * dy2 - dx2 * dy1
  if (Math.abs(det) < 1e-12) throw new Invalid('Three of these corners lie in a line. Tap the four corners again.')
  const g = (sx * dy2 - dx2 * sy) / det
  const h = (dx1 * sy - sx * dy1) / det
  return [x1 - x0 + g * x1, x3 - x0 + h * x3, x0, y1 - y0 + g * y1, y3 - y0 + h * y3, y0, g, h, 1]
}

/** Where a map takes a point. */
export function mapped([a, b, c, d, e, f, g, h, i]: Matrix3, [x, y]: Point): Point {
  const w = g * x + h * y + i
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w]
}

/** The inverse map, up to its scale. @throws Invalid for a map that flattens everything */
export function inverted([a, b, c, d, e, f, g, h, i]: Matrix3): Matrix3 {
  const adjugate = [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ] as const
  const det = a * adjugate[0] + b * adjugate[3] + c * adjugate[6]
  if (Math.abs(det) < 1e-12) throw new Invalid('These corners lie in a line. Tap the four corners again.')
  return adjugate
}

/**
 * The style that lays a picture whose corners were tapped flat onto a box: CSS `matrix3d` from its top left.
 * @param quad the tapped corners in the picture as it is shown, px; @param box width and height of the box, px
 */
export function flattening(quad: Quad, [width, height]: readonly [number, number]): string {
  const [a, b, c, d, e, f, g, h, i] = inverted(squareToQuad(quad))
  const rows = [a * width, b * width, c * width, d * height, e * height, f * height, g, h, i].map((x) => x / i)
  const [p, q, r, s, t, u, v, w] = rows as [number, number, number, number, number, number, number, number, number]
  return `matrix3d(${[p, s, 0, v, q, t, 0, w, 0, 0, 1, 0, r, u, 0, 1].join(',')})`
}
