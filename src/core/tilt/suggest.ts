import type { Point } from '../surface/polygon'
import { footprint } from '../surface/shapes'
import { coarse, POURED } from './coarse'
import { slopesOf, heldPath, type Lean } from './hand'
import { COVERS_MM, type Rehearsal, type Moment, type Readings } from './rehearsal'
import type { StartTask } from './start'

/** What a suggestion looks for. Films in mm. Start values of Fika. */
export interface Wanted {
  /** Places to keep on the board, mm, with the lean they should survive. */
  readonly keepers: readonly { readonly at: Point; readonly radiusMm: number }[]
  readonly filmMm: readonly [number, number]
}
export const WANTED_FILM_MM: readonly [number, number] = [0.35, 0.8]

export interface Suggestion {
  /** Corners in the order they are tilted to. */
  readonly order: readonly string[]
  readonly tiltDeg: number
  readonly path: readonly Lean[]
  readonly readings: Readings
  /** The smaller the better. */
  readonly score: number
  /** What speaks for it, and against it. */
  readonly reasons: readonly string[]
}

const CORNER_WAYS = [
  ['top left', -1, -1],
  ['top right', 1, -1],
  ['bottom right', 1, 1],
  ['bottom left', -1, 1],
] as const

/** Seconds a corner is held at most; a corner counts as reached when its last tenth is covered. Start values of Fika. */
const HOLD_S = 6
const AFTER_S = 0.6
const SPREAD_S = 1.5
/** Times round the corners at most, while more is left than is wanted. */
const ROUNDS = 2

/** Every order of the four corners, as indices. */
export function orders(): number[][] {
  const all: number[][] = []
  const go = (done: number[]) => {
    if (done.length === 4) all.push(done)
    else for (let c = 0; c < 4; c++) if (!done.includes(c)) go([...done, c])
  }
  go([])
  return all
}

/**
 * Orders of the corners with how long each is held, tried on coarse cells: full cover first, then keepers kept, then a
 * film between the limits, then the least run-off. Each corner is held until paint has come there.
 * @param onTried called after each try, with how many there are; answering false stops the search
 * @returns the best three that differ in order
 */
export async function suggest(
  task: StartTask,
  wanted: Wanted,
  onTried: (done: number, all: number) => boolean | Promise<boolean>,
): Promise<Suggestion[]> {
  const tried: Suggestion[] = []
  const r = coarse(task, { seen: wanted.keepers.length > 0 })
  r.advance(SPREAD_S, LEVEL)
  for (const k of wanted.keepers) r.keep(k.at, k.radiusMm)
  const start = r.moment()
  const zones = CORNER_WAYS.map(([, sx, sy]) => cornerCells(r, sx, sy))
  const first = orders()
  const all = first.length + 6
  for (const order of first) {
    tried.push(tryOrder(r, start, zones, wanted, order, 14, 1))
    if (!(await onTried(tried.length, all))) return best(tried)
  }
  const ahead = [...tried].sort((a, b) => a.score - b.score).slice(0, 3)
  for (const one of ahead)
    for (const tilt of [10, 18]) {
      const order = one.order.map((name) => CORNER_WAYS.findIndex(([n]) => n === name))
      tried.push(tryOrder(r, start, zones, wanted, order, tilt, ROUNDS))
      if (!(await onTried(tried.length, all))) return best(tried)
    }
  return best(tried)
}

/** The best, and the next best of another order. */
function best(tried: readonly Suggestion[]): Suggestion[] {
  const found: Suggestion[] = []
  for (const s of [...tried].sort((a, b) => a.score - b.score))
    if (found.length < 3 && !found.some((f) => f.order.join() === s.order.join())) found.push(s)
  return found
}

const LEVEL = () => ({ sx: 0, sy: 0 })

function tryOrder(
  r: Rehearsal,
  start: Moment,
  zones: readonly (readonly number[])[],
  wanted: Wanted,
  order: readonly number[],
  tiltDeg: number,
  rounds: number,
): Suggestion {
  r.goBackTo(start)
  const { lengthMm: l, widthMm: w } = footprint(r.task.shape)
  const diagonal = Math.hypot(l, w)
  const holds: { x: number; y: number; seconds: number }[] = []
  const reached = reachedBy(r)
  for (let round = 0; round < rounds; round++) {
    for (const c of order) {
      const [, sx, sy] = CORNER_WAYS[c]!
      const lean = { x: (tiltDeg * sx * l) / diagonal, y: (tiltDeg * sy * w) / diagonal }
      const from = r.t
      const slopeAt = slopesOf([{ t: 0, ...lean }])
      const zone = zones[c]!
      let reachedAt = Infinity
      while (r.t - from < HOLD_S && r.t - reachedAt < AFTER_S * (1 + round)) {
        r.advance(0.25, slopeAt)
        if (reachedAt === Infinity && reached(zone)) reachedAt = r.t
      }
      holds.push({ ...lean, seconds: r.t - from })
    }
    if (meanOf(r) <= wanted.filmMm[1]) break
  }
  r.advance(1, LEVEL)
  const readings = r.readings()
  const seconds = holds.reduce((sum, h) => sum + h.seconds, 0)
  return {
    order: order.map((c) => CORNER_WAYS[c]![0]),
    tiltDeg,
    path: heldPath([{ x: 0, y: 0, seconds: SPREAD_S }, ...holds]),
    readings,
    score: scoreOf(readings, wanted),
    reasons: reasonsOf(readings, wanted, seconds, Math.round(holds.length / 4)),
  }
}

const meanOf = ({ film }: Rehearsal) => film.h.reduce((sum, h) => sum + h, 0) / film.board.cells

/** Whether what was poured has come to most of a zone; where no coat lies, whether the zone is covered. */
function reachedBy({ task, film }: Rehearsal): (zone: readonly number[]) => boolean {
  if (task.coats.length === 0) return (zone) => zone.every((k) => film.h[k]! >= COVERS_MM)
  return (zone) => zone.filter((k) => film.mix[k * film.paints + POURED]! >= film.h[k]! / 3).length >= 0.6 * zone.length
}

/** The cells in the last tenth towards a corner; of a round, where that way ends. */
function cornerCells(r: Rehearsal, sx: number, sy: number): number[] {
  const { nx, ny, inside } = r.film.board
  const found: { k: number; far: number }[] = []
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const k = j * nx + i
      if (inside[k]) found.push({ k, far: sx * ((i + 0.5) / nx - 0.5) + sy * ((j + 0.5) / ny - 0.5) })
    }
  const farthest = Math.max(...found.map((f) => f.far))
  return found.filter((f) => f.far > farthest - 0.08).map((f) => f.k)
}

/** Cover counts above all, then keepers, then the film, then what runs off. */
function scoreOf(r: Readings, { filmMm: [least, most] }: Wanted): number {
  const poured = r.leftUl + r.ranOffUl
  const off = Math.max(0, least - r.meanMm, r.meanMm - most)
  const lost = r.keepers.reduce((sum, k) => sum + Math.max(0, 0.9 - k.share) + 0.05 * Math.max(0, k.stretch - 2), 0)
  return 20 * (1 - r.covered) + 2 * r.bareCorners.length + 3 * lost + 4 * off + (poured > 0 ? 1 - r.leftUl / poured : 0)
}

function reasonsOf(r: Readings, { filmMm: [least, most] }: Wanted, seconds: number, rounds: number): string[] {
  const poured = r.leftUl + r.ranOffUl
  const film = `${r.meanMm.toFixed(2)} mm left`
  return [
    r.covered > 0.995 ? 'covers the whole face' : `leaves ${Math.ceil((1 - r.covered) * 100)} % bare`,
    r.meanMm < least ? `${film}, thin` : r.meanMm > most ? `${film}, thick` : film,
    `${Math.round((1 - r.leftUl / Math.max(1, poured)) * 100)} % runs off`,
    ...r.keepers.map((k, i) => `keeps ${Math.round(Math.min(1, k.share) * 100)} % of keeper ${i + 1}`),
    `about ${Math.round(seconds)} s of tilting${rounds > 1 ? `, ${rounds} times round` : ''}`,
  ]
}
