import { polygonArea, type Point } from '../surface/polygon'
import type { Component } from './components'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { max, min, sqrt } = Math

/** The shape of an area with its holes filled, in pixels. */
export interface BlobShape {
  /** Pixels with holes filled. */
  readonly filled: number
  readonly middle: Point
  /** Area ÷ that of its convex hull, 0–1. */
  readonly solidity: number
  /** Short axis ÷ long axis of the ellipse with the same second moments, 0–1. */
  readonly axisRatio: number
  /** The components that lie in its holes, each once. */
  readonly inside: readonly number[]
}

/** Convex hull of points sorted by y, then x (Andrew 1979, from memory). */
function hull(points: readonly Point[]): Point[] {
  const half = (list: readonly Point[]) => {
    const out: Point[] = []
    for (const p of list) {
      while (out.length >= 2) {
        const [a, b] = [out[out.length - 2]!, out[out.length - 1]!]
        if ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break
        out.pop()
      }
      out.push(p)
    }
    out.pop()
    return out
  }
  return [...half(points), ...half([...points].reverse())]
}

/** Shape of one component, by flooding its box from outside: what the flood does not reach is its, or in its holes. */
export function blobShape(of: Int32Array, width: number, id: number, c: Component): BlobShape {
  const [w, h] = [c.x1 - c.x0 + 3, c.y1 - c.y0 + 3]
  const at = (x: number, y: number) => (y + c.y0 - 1) * width + x + c.x0 - 1
  const isOutside = new Uint8Array(w * h)
  const stack = [0]
  isOutside[0] = 1
  const isOwn = (x: number, y: number) => x > 0 && y > 0 && x < w - 1 && y < h - 1 && of[at(x, y)] === id
  while (stack.length) {
    const i = stack.pop()!
    const [x, y] = [i % w, (i / w) | 0]
    const visit = (nx: number, ny: number) => {
      if (nx < 0 || ny < 0 || nx >= w || ny >= h) return
      const j = ny * w + nx
      if (isOutside[j] || isOwn(nx, ny)) return
      isOutside[j] = 1
      stack.push(j)
    }
    visit(x - 1, y)
    visit(x + 1, y)
    visit(x, y - 1)
    visit(x, y + 1)
  }
  const inside = new Set<number>()
  const rims: Point[] = []
  let [n, sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0, 0]
  for (let y = 1; y < h - 1; y++) {
    let [from, to] = [Infinity, -Infinity]
    for (let x = 1; x < w - 1; x++) {
      if (isOutside[y * w + x]) continue
      const other = of[at(x, y)]!
      if (other !== id && other >= 0) inside.add(other)
      n += 1
      sx += x
      sy += y
      sxx += x * x
      syy += y * y
      sxy += x * y
      from = min(from, x)
      to = max(to, x)
    }
    if (from > to) continue
    rims.push([from, y], [to + 1, y], [from, y + 1], [to + 1, y + 1])
  }
  rims.sort((a, b) => a[0] - b[0] || a[1] - b[1])
  const [mx, my] = [sx / n, sy / n]
  // A pixel has moments of its own.
  const [vx, vy, vxy] = [sxx / n - mx * mx + 1 / 12, syy / n - my * my + 1 / 12, sxy / n - mx * my]
  const root = sqrt(((vx - vy) / 2) ** 2 + vxy * vxy)
  const [long, short] = [(vx + vy) / 2 + root, (vx + vy) / 2 - root]
  return {
    filled: n,
    middle: [mx + c.x0 - 0.5, my + c.y0 - 0.5],
    solidity: n / polygonArea(hull(rims)),
    axisRatio: sqrt(max(0, short) / long),
    inside: [...inside],
  }
}
