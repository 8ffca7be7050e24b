import type { Point } from '../surface/polygon'
import type { Mark } from './lands'

/** What lies so near the edge usually runs off, mm (common practice: 25–50). */
export const RIM_MM = [25, 50] as const

/** Distance to the nearest edge of a convex outline, mm; below zero outside of it. */
export function fromEdge([x, y]: Point, outline: readonly Point[]): number {
  const turn = Math.sign(
    outline.reduce((sum, [ax, ay], i) => {
      const [bx, by] = outline[(i + 1) % outline.length]!
      return sum + ax * by - bx * ay
    }, 0),
  )
  let nearest = Infinity
  for (let i = 0; i < outline.length; i++) {
    const [ax, ay] = outline[i]!
    const [bx, by] = outline[(i + 1) % outline.length]!
    const across = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay)
    nearest = Math.min(nearest, turn * across)
  }
  return nearest
}

/** Whether a mark covers a place. */
export function covers(mark: Mark, [x, y]: Point): boolean {
  if (mark.kind === 'trail')
    return mark.path.some((p, i) => i > 0 && toStretch([x, y], mark.path[i - 1]!, p) <= mark.widthMm / 2)
  const [dx, dy] = [x - mark.at[0], y - mark.at[1]]
  if (Math.hypot(dx, dy) > mark.radiusMm) return false
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
  for (let x = x0 + step / 2; x < x1; x += step)
    for (let y = y0 + step / 2; y < y1; y += step) {
      const top = marks.findLast((m) => covers(m, [x, y]))
      if (!top) continue
      const sum = sums.get(top.colour) ?? { all: 0, rim: 0 }
      sum.all += 1
      if (fromEdge([x, y], outline) < rimMm) sum.rim += 1
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
