import type { Point } from '../surface/polygon'
import { areas } from '../surface/area'
import { xOf, yOf } from './board'
import { SIDES, type Film, type Slope } from './film'
import { followed, keeperAt, type Followed, type Keeper } from './keeper'
import { OriginMap } from './originMap'
import { startOf, type StartingPicture, type StartTask } from './start'
import { waviness } from './waviness'

/** A film from here on covers, mm; what an edge takes of what runs over it, mm. Start values of Fika. */
export const COVERS_MM = 0.06
export const EDGE_FILM_MM = 0.25

/** How steps grow after a change of tilt, s, and from which change they begin anew (sine of the angle). */
const FIRST_S = 0.005
const GROWTH = 1.4
const RESTART = 0.02
/** Longest step for a paint of so many mm²/s: 0.03 s at 200 and thinner, 0.1 s where it hardly moves. */
const longest = (nu: number) => Math.min(SLOWEST_S, Math.max(0.03, 1.5e-4 * nu))
/** Once nothing goes further than so many mm in a step, steps grow up to this, s. */
const REACH_MM = 2
const SLOWEST_S = 0.1

/** What is read while it runs. Volumes in µl of one piece. */
export interface Readings {
  readonly seconds: number
  /** Mean film left on the face, mm. */
  readonly meanMm: number
  readonly leftUl: number
  /** Of each colour: what is still on the board, of what was poured, 0–1. */
  readonly kept: readonly number[]
  /** Of each colour the share of the face it is seen on, 0–1. */
  readonly seen: readonly number[]
  /** Over each of `SIDES`. */
  readonly offUl: readonly number[]
  /** Over all of them. */
  readonly ranOffUl: number
  /** Share of the face that is covered, 0–1. */
  readonly covered: number
  /** Corners of a face with four corners that are bare yet. */
  readonly bareCorners: readonly Corner[]
  /** Share of the edge that paint went over, 0–1, and what it took. */
  readonly edgeWet: number
  readonly edgeUl: number
  readonly keepers: readonly Followed[]
}

export const CORNERS = ['top left', 'top right', 'bottom left', 'bottom right'] as const
export type Corner = (typeof CORNERS)[number]

export interface RehearsalOptions {
  /** Of the unevenness; 0 or none: none. */
  readonly seed?: number
  /** Steps so many times as long, where a search need not be so exact. */
  readonly haste?: number
  /** False where nobody looks: no picture is carried along. */
  readonly seen?: boolean
}

/** A moment that can be gone back to. */
export interface Moment {
  readonly t: number
  readonly film: ReturnType<Film['snapshot']>
  readonly dx: Float32Array
  readonly dy: Float32Array
}

/** A pour that is rehearsed: a film, the picture on it, and what is followed. Lengths in mm, times in s. */
export class Rehearsal {
  readonly film: Film
  readonly map: OriginMap
  readonly picture: StartingPicture
  readonly pouredUl: Float64Array
  readonly keepers: Keeper[] = []
  t = 0
  private dt = FIRST_S
  private last: Slope = { sx: 0, sy: 0 }
  private readonly most: number
  private readonly haste: number

  /** @throws Invalid for a start that cannot be rehearsed */
  constructor(
    readonly task: StartTask,
    cellMm: number,
    private readonly options: RehearsalOptions = {},
  ) {
    const { film, picture, pouredUl } = startOf(task, cellMm)
    this.film = film
    this.picture = picture
    this.pouredUl = pouredUl
    this.map = new OriginMap(film.board)
    this.haste = options.haste ?? 1
    this.most = longest(Math.min(...film.nus)) * this.haste
    if (options.seed) this.roughen(options.seed)
  }

  /** Goes on by some seconds, on a board that leans as `slopeAt` says at each time. */
  advance(seconds: number, slopeAt: (t: number) => Slope): void {
    const until = this.t + seconds
    while (this.t < until - 1e-9) {
      const slope = slopeAt(this.t)
      if (Math.hypot(slope.sx - this.last.sx, slope.sy - this.last.sy) > RESTART) {
        this.dt = FIRST_S
        this.last = slope
      }
      const dt = Math.min(this.dt, until - this.t)
      this.film.step(dt, slope)
      if (this.options.seen !== false)
        this.map.step(dt, this.film.h, this.film.speedX, this.film.speedY, this.film.wetBox)
      this.t += dt
      const calm = Math.min(SLOWEST_S * this.haste, REACH_MM / Math.max(1e-9, this.film.fastest))
      this.dt = Math.min(Math.max(this.most, calm), this.dt * GROWTH)
    }
  }

  /** Marks a place to be followed from now on. */
  keep(at: Point, radiusMm: number): Keeper {
    const keeper = keeperAt(this.map, at, radiusMm)
    this.keepers.push(keeper)
    return keeper
  }

  moment(): Moment {
    return { t: this.t, film: this.film.snapshot(), dx: this.map.dx.slice(), dy: this.map.dy.slice() }
  }

  goBackTo(moment: Moment): void {
    this.t = moment.t
    this.film.restore(moment.film)
    this.map.dx.set(moment.dx)
    this.map.dy.set(moment.dy)
    this.dt = FIRST_S
  }

  readings(): Readings {
    const { film, pouredUl } = this
    const { board } = film
    const area = board.cellMm ** 2
    const left = film.nus.map((_, p) => film.volumeOf(p))
    const leftUl = left.reduce((a, b) => a + b, 0)
    let covered = 0
    for (let k = 0; k < film.h.length; k++) if (film.h[k]! >= COVERS_MM) covered++
    const edgeWet = film.edgeWet()
    const offUl = SIDES.map((_, side) =>
      film.nus.reduce((sum, _nu, p) => sum + film.off[side * film.nus.length + p]!, 0),
    )
    const ranOffUl = offUl.reduce((a, b) => a + b, 0)
    const { edgesMm2 } = areas({ ...this.task.shape, edgeMm: this.task.edgeMm, count: 1 })
    return {
      seconds: this.t,
      meanMm: leftUl / (board.cells * area),
      leftUl,
      kept: left.map((ul, c) => (pouredUl[c]! > 0 ? ul / pouredUl[c]! : 0)),
      seen: this.seen(),
      offUl,
      ranOffUl,
      covered: covered / board.cells,
      bareCorners: this.bareCorners(),
      edgeWet,
      edgeUl: Math.min(ranOffUl, edgeWet * edgesMm2 * EDGE_FILM_MM),
      keepers: this.keepers.map((k) => followed(k, this.map, film.h)),
    }
  }

  /** Of each colour the share of the face it is seen on. */
  private seen(): number[] {
    const { board, h } = this.film
    const counts = new Array<number>(this.film.nus.length).fill(0)
    for (let j = 0; j < board.ny; j++)
      for (let i = 0; i < board.nx; i++) {
        const k = j * board.nx + i
        if (h[k]! < COVERS_MM) continue
        const colour = this.colourFrom(xOf(board, i) + this.map.dx[k]!, yOf(board, j) + this.map.dy[k]!)
        if (colour < counts.length) counts[colour]! += 1
      }
    return counts.map((n) => n / board.cells)
  }

  /** The colour of the starting picture at a place, mm from the middle. */
  private colourFrom(x: number, y: number): number {
    const { picture, film } = this
    const i = Math.floor((x + (film.board.nx * film.board.cellMm) / 2) / picture.pixelMm)
    const j = Math.floor((y + (film.board.ny * film.board.cellMm) / 2) / picture.pixelMm)
    const on = (at: number, n: number) => (at < 0 ? 0 : at >= n ? n - 1 : at)
    return picture.colour[on(j, picture.ny) * picture.nx + on(i, picture.nx)]!
  }

  private bareCorners(): Corner[] {
    const { shape } = this.task
    if (shape.shape !== 'rectangle' && shape.shape !== 'tiles') return []
    const { nx, ny } = this.film.board
    const [wide, high] = [Math.max(1, Math.round(nx * 0.05)), Math.max(1, Math.round(ny * 0.05))]
    return CORNERS.filter((corner) => {
      const i0 = corner.endsWith('left') ? 0 : nx - wide
      const j0 = corner.startsWith('top') ? 0 : ny - high
      for (let j = j0; j < j0 + high; j++)
        for (let i = i0; i < i0 + wide; i++) if (this.film.h[j * nx + i]! < COVERS_MM) return true
      return false
    })
  }

  /** A hand is uneven: colours begin a little beside where they were meant, and films a little higher or lower. */
  private roughen(seed: number): void {
    const { film, map } = this
    const { board } = film
    const [along, down, height] = [waviness(seed), waviness(seed + 101), waviness(seed + 202)]
    const { mix, paints } = film
    const before = film.nus.map((_, p) => film.volumeOf(p))
    for (let j = 0; j < board.ny; j++)
      for (let i = 0; i < board.nx; i++) {
        const k = j * board.nx + i
        const [x, y] = [xOf(board, i), yOf(board, j)]
        map.dx[k] = along(x, y)
        map.dy[k] = down(x, y)
        const factor = 1 + UNEVEN * Math.max(-1, Math.min(1, height(x, y) / 2))
        for (let at = k * paints; at < (k + 1) * paints; at++) mix[at]! *= factor
      }
    before.forEach((ul, p) => {
      const after = film.volumeOf(p)
      if (after > 0) for (let at = p; at < mix.length; at += paints) mix[at]! *= ul / after
    })
    film.settle()
  }
}

/** A film laid by hand is so uneven. Start value of Fika. */
const UNEVEN = 0.08
