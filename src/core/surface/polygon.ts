/** A place on a surface, mm from its middle: to the right, and down. */
export type Point = readonly [x: number, y: number]

/** Area by the shoelace formula, mm²; whichever way round it is drawn. */
export function polygonArea(points: readonly Point[]): number {
  let twice = 0
  for (let i = 0; i < points.length; i++) {
    const [x1, y1] = points[i]!
    const [x2, y2] = points[(i + 1) % points.length]!
    twice += x1 * y2 - x2 * y1
  }
  return Math.abs(twice) / 2
}

const signedTwice = (points: readonly Point[]) =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!
    return sum + x * ny - nx * y
  }, 0)

/**
 * What of a polygon lies inside a convex one (Sutherland & Hodgman 1974).
 * @param convex the window, either way round
 */
export function clipTo(points: readonly Point[], convex: readonly Point[]): Point[] {
  const window = signedTwice(convex) < 0 ? [...convex].reverse() : convex
  let kept: Point[] = [...points]
  for (let i = 0; i < window.length && kept.length; i++) {
    const a = window[i]!
    const b = window[(i + 1) % window.length]!
    kept = cut(kept, (p) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]))
  }
  return kept
}

/** What of a polygon lies where `side` is not below zero; `side` is linear over the plane. */
export function cut(points: readonly Point[], side: (p: Point) => number): Point[] {
  return points.flatMap((p, i): Point[] => {
    const next = points[(i + 1) % points.length]!
    const [here, there] = [side(p), side(next)]
    const crossing = (): Point => {
      const t = here / (here - there)
      return [p[0] + t * (next[0] - p[0]), p[1] + t * (next[1] - p[1])]
    }
    if (here >= 0) return there >= 0 ? [p] : [p, crossing()]
    return there >= 0 ? [crossing()] : []
  })
}

/** Whether two stretches cross in their insides. */
export function stretchesCross(a: Point, b: Point, c: Point, d: Point): boolean {
  const side = (p: Point, q: Point, r: Point) =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]))
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0
}

/** Whether a place lies in a polygon, which may be hollow (even–odd rule). */
export function isWithin(outline: readonly Point[], x: number, y: number): boolean {
  let isIn = false
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const [ax, ay] = outline[i]!
    const [bx, by] = outline[j]!
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) isIn = !isIn
  }
  return isIn
}
