import { Invalid } from '../errors'
import { mustBeNumbers } from '../mustBe'
import { slopeOf, type Slope } from './film'

/** How the board leans at a time: seconds from the start, degrees downhill to the right and towards the maker. */
export interface Lean {
  readonly t: number
  readonly x: number
  readonly y: number
}

/** Steepest a board is leaned, degrees; longest a path of tilts is kept, s and points. Start values of Fika. */
export const LEAN = { mostDeg: 40, mostS: 600, mostPoints: 1200 } as const

/** The lean at a time, in straight lines between the points; before and after them as at the ends. */
export function leanAt(path: readonly Lean[], t: number): { x: number; y: number } {
  if (path.length === 0) return { x: 0, y: 0 }
  let high = path.length - 1
  if (t >= path[high]!.t) return path[high]!
  let low = 0
  if (t <= path[0]!.t) return path[0]!
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (path[middle]!.t <= t) low = middle
    else high = middle
  }
  const [a, b] = [path[low]!, path[high]!]
  const part = b.t > a.t ? (t - a.t) / (b.t - a.t) : 1
  return { x: a.x + part * (b.x - a.x), y: a.y + part * (b.y - a.y) }
}

/** A path as the slopes it gives. */
export const slopesOf =
  (path: readonly Lean[]) =>
  (t: number): Slope => {
    const { x, y } = leanAt(path, t)
    return slopeOf(x, y)
  }

/**
 * A hand as it was recorded, with what lies on a straight line between its neighbours left out.
 * @param offDeg how far a point may lie off that line, degrees
 */
export function thinned(path: readonly Lean[], offDeg = 0.25): Lean[] {
  const kept: Lean[] = []
  let from = 0
  for (let i = 0; i < path.length; i++) {
    if (i === 0 || i === path.length - 1) {
      kept.push(path[i]!)
      from = i
      continue
    }
    const ends = [path[from]!, path[i + 1]!]
    const straight = path.slice(from + 1, i + 1).every((p) => {
      const at = leanAt(ends, p.t)
      return Math.hypot(at.x - p.x, at.y - p.y) <= offDeg
    })
    if (!straight) {
      kept.push(path[i]!)
      from = i
    }
  }
  return kept
}

/** @throws Invalid for a path that goes back in time, leans too far, is too long, or holds no number */
export function checkPath(path: readonly Lean[]): readonly Lean[] {
  if (path.length > LEAN.mostPoints || (path.at(-1)?.t ?? 0) > LEAN.mostS)
    throw new Invalid(`A path of tilts is kept up to ${LEAN.mostS / 60} minutes. Stop earlier, then keep it.`)
  mustBeNumbers(
    'A tilt',
    path.flatMap((p) => [p.t, p.x, p.y]),
  )
  path.forEach((p, i) => {
    if (p.t < 0 || (i > 0 && p.t < path[i - 1]!.t))
      throw new Invalid('A path of tilts cannot go back in time. Record it again.')
    if (Math.hypot(p.x, p.y) > LEAN.mostDeg + 1e-6)
      throw new Invalid(`The board leans by ${LEAN.mostDeg}° at most. Tilt less far.`)
  })
  return path
}

/** Seconds a board takes from one lean to the next, and holds level at the end. Start values of Fika. */
const TURN_S = 0.8

/** A path through leans that are each held for a while, level before and after. */
export function heldPath(holds: readonly { x: number; y: number; seconds: number }[]): Lean[] {
  let t = 0
  const path: Lean[] = [{ t, x: 0, y: 0 }]
  for (const { x, y, seconds } of holds) {
    t += TURN_S
    path.push({ t, x, y })
    t += seconds
    path.push({ t, x, y })
  }
  path.push({ t: t + TURN_S, x: 0, y: 0 })
  return path
}
