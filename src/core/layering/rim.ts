import type { Point } from '../surface/polygon'
import type { Mark } from './lands'

/** What lies so near the edge usually runs off, mm (common practice: 25–50). */
export const RIM_MM = [25, 50] as const

/** How far a place lies from the nearest edge of a convex outline, mm; below zero outside of it. */
function fromEdgeOf(outline: readonly Point[]): (x: number, y: number) => number {
  const turn = Math.sign(
    outline.reduce((sum, [ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!
      return sum + ax * by - bx * ay
    }, 0),
  )
  // Each edge as its inward normal and what that is at the edge.
  const edges = outline.map(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!
    const length = Math.hypot(bx - ax, by - ay)
    const [nx, ny] = [(-turn * (by - ay)) / length, (turn * (bx - ax)) / length]
    return [nx, ny, nx * ax + ny * ay] as const
  })
  return (x, y) => {
    let nearest = Infinity
    for (const [nx, ny, at] of edges) {
      const across = nx * x + ny * y - at
      if (across < nearest) nearest = across
    }
    return nearest
  }
}

/** Whether a mark covers a place. */
export function covers(mark: Mark, [x, y]: Point): boolean {
  if (mark.kind === 'trail')
    return mark.path.some((p, i) => i > 0 && toStretch([x, y], mark.path[i - 1]!, p) <= mark.widthMm / 2)
  const [dx, dy] = [x - mark.at[0], y - mark.at[1]]
  if (dx * dx + dy * dy > mark.radiusMm * mark.radiusMm) return false
  if (mark.kind === 'disc') return true
  const turned = ((Math.atan2(dy, dx) * 180) / Math.PI - mark.fromDeg + 720) % 360
  return turned < mark.toDeg - mark.fromDeg
}

function toStretch([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay]
  const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / Math.max(1e-9, dx * dx + dy * dy)))
  return Math.hypot(x - ax - t * dx, y - ay - t * dy)
}

/** What is seen of each colour on the face, mm², and the share of it that lies in the rim or beyond the edge, 0–1. */
export interface Seen {
  readonly colour: number
  readonly mm2: number
  readonly inRim: number
}

/** Places looked at along the longer side. */
const STEPS = 80

/**
 * How much of what is seen of each colour lies in the rim, before anything is tilted. By looking at a grid of places;
 * what lies beyond the edge counts to the rim.
 */
export function seenInRim(marks: readonly Mark[], outline: readonly Point[], rimMm: number): Seen[] {
  const reach = marks.flatMap(boundsOf)
  if (reach.length === 0) return []
  const xs = reach.map((p) => p[0])
  const ys = reach.map((p) => p[1])
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const step = Math.max(x1 - x0, y1 - y0, 1e-6) / STEPS
  const sums = new Map<number, { all: number; rim: number }>()
  const inward = fromEdgeOf(outline)
  // Looked at from above, and only where a mark reaches at all.
  const boxes = marks.map((mark) => {
    const [low, high] = boundsBox(mark)
    return { mark, low, high }
  })
  const topAt = (x: number, y: number) => {
    for (let i = boxes.length - 1; i >= 0; i--) {
      const { mark, low, high } = boxes[i]!
      if (x >= low[0] && x <= high[0] && y >= low[1] && y <= high[1] && covers(mark, [x, y])) return mark
    }
    return undefined
  }
  for (let x = x0 + step / 2; x < x1; x += step)
    for (let y = y0 + step / 2; y < y1; y += step) {
      const top = topAt(x, y)
      if (!top) continue
      const sum = sums.get(top.colour) ?? { all: 0, rim: 0 }
      sum.all += 1
      if (inward(x, y) < rimMm) sum.rim += 1
      sums.set(top.colour, sum)
    }
  return [...sums].map(([colour, { all, rim }]) => ({ colour, mm2: all * step * step, inRim: rim / all }))
}

function boundsOf(m: Mark): Point[] {
  if (m.kind === 'trail')
    return m.path.flatMap(([x, y]): Point[] => [
      [x - m.widthMm / 2, y - m.widthMm / 2],
      [x + m.widthMm / 2, y + m.widthMm / 2],
    ])
  const [x, y] = m.at
  return [
    [x - m.radiusMm, y - m.radiusMm],
    [x + m.radiusMm, y + m.radiusMm],
  ]
}

/** The rectangle a mark lies in: its upper left and lower right corner, mm. */
export function boundsBox(mark: Mark): readonly [Point, Point] {
  const reach = boundsOf(mark)
  const of = (pick: (...all: number[]) => number, axis: 0 | 1) => pick(...reach.map((p) => p[axis]))
  return [
    [of(Math.min, 0), of(Math.min, 1)],
    [of(Math.max, 0), of(Math.max, 1)],
  ]
}
