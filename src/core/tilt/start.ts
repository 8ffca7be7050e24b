import { Invalid } from '../errors'
import type { Sheen } from '../paint/properties'
import { boundsBox, covers } from '../layering/rim'
import { landsAs, RESTING_MM, type CupOnSurface, type Mark } from '../layering/lands'
import { isWithin, type Point } from '../surface/polygon'
import { footprint, type Shape } from '../surface/shapes'
import { boardOfShape, within } from './board'
import { EDGE_HOLD, Film, NU_RANGE } from './film'

/** A paint of a rehearsal. */
export interface RehearsedColour {
  readonly hex: string
  readonly sheen: Sheen
  /** Kinematic viscosity, mm²/s. */
  readonly nu: number
}

/** A coat that lies on the board before the pour: all over, in a region, or along a way. */
export interface LaidCoat {
  readonly colour: number
  /** Of one piece, µl. */
  readonly ul: number
  readonly region: readonly Point[] | null
  readonly path: readonly Point[]
}

/** What weighed pieces say of how paint runs here, beside how its bottles read. */
export interface Correction {
  /** So many times as viscous as the bottles read. */
  readonly nuFactor: number
  /** A film holds at an edge until it stands so high, mm. */
  readonly lipMm: number
}
export const AS_READ: Correction = { nuFactor: 1, lipMm: EDGE_HOLD.lipMm }

/** What a rehearsal begins from: one piece of a surface, its coats, and its cups as they are poured. */
export interface StartTask {
  readonly shape: Shape
  readonly edgeMm: number
  readonly colours: readonly RehearsedColour[]
  readonly coats: readonly LaidCoat[]
  readonly cups: readonly CupOnSurface[]
  /** As read where none is given. */
  readonly correction?: Correction
}

/** What of each coat and layer goes on the board or beside it, µl. */
export const volumesOf = ({ coats, cups }: StartTask): number[] => [
  ...coats.map((c) => c.ul),
  ...cups.flatMap((c) => c.layers.map((l) => l.ul)),
]

/** Kinematic viscosity as it is rehearsed, mm²/s; what is out of range as read is left for the film to refuse. */
function nuOf({ nu }: RehearsedColour, { nuFactor }: Correction): number {
  const [least, most] = NU_RANGE
  return nu >= least && nu <= most ? Math.min(most, Math.max(least, nu * nuFactor)) : nu
}

/** No colour: the bare board. */
export const BARE = 255

/**
 * The board as it is seen before it is tilted, finer than its cells: which colour lies on top of each pixel, and where an
 * edge goes through it, the colour beside it and how much of the pixel that takes, in 255ths.
 */
export interface StartingPicture {
  readonly nx: number
  readonly ny: number
  readonly pixelMm: number
  readonly colour: Uint8Array
  readonly beside: Uint8Array
  readonly part: Uint8Array
}

export interface Start {
  readonly film: Film
  readonly picture: StartingPicture
  /** Of each colour, µl: what was poured, with what fell beside the board at once. */
  readonly pouredUl: Float64Array
}

/** Pixels of a starting picture: about so many, so many to a cell, none finer than this, mm. */
const PIXELS = 800_000
const PER_CELL = 6
const FINEST_MM = 0.4

/**
 * Lays coats and cups on the board. Each colour of a cup keeps its volume: what lies beyond the edge is counted as run
 * off over that side.
 * @param cellMm size of the cells, mm
 * @throws Invalid without any paint, with too many colours, for a vessel, or for a viscosity out of range
 */
export function startOf(task: StartTask, cellMm: number): Start {
  const { shape, colours, correction = AS_READ } = task
  if (colours.length >= BARE) throw new Invalid('A rehearsal takes up to 250 colours.')
  const board = boardOfShape(shape, cellMm)
  if (!volumesOf(task).some((ul) => ul > 0))
    throw new Invalid('There is no paint on this board yet. Put bottles into a cup of the plan, then rehearse.')
  const film = new Film(
    board,
    colours.map((c) => nuOf(c, correction)),
    { ...EDGE_HOLD, lipMm: correction.lipMm },
  )
  const { lengthMm, widthMm } = footprint(shape)
  const pixelMm = Math.max(FINEST_MM, cellMm / PER_CELL, Math.sqrt((lengthMm * widthMm) / PIXELS))
  const [nx, ny] = [Math.ceil(lengthMm / pixelMm), Math.ceil(widthMm / pixelMm)]
  const bare = () => new Uint8Array(nx * ny).fill(BARE)
  const picture: StartingPicture = { nx, ny, pixelMm, colour: bare(), beside: bare(), part: new Uint8Array(nx * ny) }
  const lay = new Laying(film, picture, within(shape), [lengthMm, widthMm])
  for (const coat of task.coats) lay.coat(coat)
  for (const cup of task.cups) lay.cup(cup)
  film.settle()
  return { film, picture, pouredUl: lay.pouredUl }
}

/** Puts paint on the board pixel by pixel: into its cells, and on top of the picture. */
class Laying {
  readonly pouredUl: Float64Array
  /** What lay on each pixel before the last colour came on it. */
  private readonly under: Uint8Array

  constructor(
    private readonly film: Film,
    private readonly picture: StartingPicture,
    private readonly onFace: (p: Point) => boolean,
    private readonly size: readonly [number, number],
  ) {
    this.pouredUl = new Float64Array(film.nus.length)
    this.under = picture.colour.slice()
  }

  coat({ colour, ul, region, path }: LaidCoat): void {
    if (ul <= 0) return
    const [l, w] = this.size
    if (path.length > 1) {
      const length = path.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - path[i]![0], p[1] - path[i]![1]), 0)
      this.marks([{ kind: 'trail', path, widthMm: ul / RESTING_MM / Math.max(1, length), colour }], [{ colour, ul }])
      return
    }
    const isIn = (p: Point) => !region || region.length < 3 || isWithin(region, p[0], p[1])
    this.spread([-l / 2, -w / 2], [l / 2, w / 2], (p) => (this.onFace(p) && isIn(p) ? colour : BARE), [{ colour, ul }])
  }

  cup(cup: CupOnSurface): void {
    this.marks(landsAs(cup), cup.layers)
  }

  private marks(marks: readonly Mark[], layers: readonly { colour: number; ul: number }[]): void {
    if (marks.length === 0) return
    const boxes = marks.map((mark) => ({ mark, box: boundsBox(mark) }))
    const low: Point = [Math.min(...boxes.map((b) => b.box[0][0])), Math.min(...boxes.map((b) => b.box[0][1]))]
    const high: Point = [Math.max(...boxes.map((b) => b.box[1][0])), Math.max(...boxes.map((b) => b.box[1][1]))]
    const top = (p: Point) => {
      for (let m = boxes.length - 1; m >= 0; m--) {
        const { mark, box } = boxes[m]!
        if (p[0] < box[0][0] || p[0] > box[1][0] || p[1] < box[0][1] || p[1] > box[1][1]) continue
        if (covers(mark, p)) return mark.colour
      }
      return BARE
    }
    this.spread(low, high, top, layers)
  }

  /** Every colour's volume over the pixels it is seen on, all of it as high; two passes, so that none is lost. */
  private spread(
    low: Point,
    high: Point,
    colourAt: (p: Point) => number,
    layers: readonly { colour: number; ul: number }[],
  ): void {
    const { picture, film, size } = this
    const d = picture.pixelMm
    const wanted = new Map<number, number>()
    for (const { colour, ul } of layers) wanted.set(colour, (wanted.get(colour) ?? 0) + ul)
    const [i0, i1] = [Math.floor((low[0] + size[0] / 2) / d), Math.ceil((high[0] + size[0] / 2) / d)]
    const [j0, j1] = [Math.floor((low[1] + size[1] / 2) / d), Math.ceil((high[1] + size[1] / 2) / d)]
    const across = Math.max(0, i1 - i0)
    const seen = new Uint8Array(across * Math.max(0, j1 - j0))
    const counts = new Float64Array(film.nus.length)
    for (let j = j0; j < j1; j++)
      for (let i = i0; i < i1; i++) {
        const colour = colourAt([(i + 0.5) * d - size[0] / 2, (j + 0.5) * d - size[1] / 2])
        seen[(j - j0) * across + i - i0] = colour
        if (colour !== BARE) counts[colour]! += 1
      }
    // A colour too little for a pixel of its own goes with the pixel in the middle.
    for (const [colour, ul] of wanted)
      if (ul > 0 && counts[colour] === 0 && seen.length) {
        seen[(seen.length + across) >> 1] = colour
        counts[colour] = 1
      }
    for (let j = j0; j < j1; j++)
      for (let i = i0; i < i1; i++) {
        const colour = seen[(j - j0) * across + i - i0]!
        if (colour === BARE || !wanted.get(colour)) continue
        this.drop(i, j, colour, wanted.get(colour)! / counts[colour]!)
      }
    for (const [colour, ul] of wanted) this.pouredUl[colour]! += ul
    for (let j = j0; j < j1; j++)
      for (let i = i0; i < i1; i++) {
        const at = (j - j0) * across + i - i0
        const isEdge =
          (i > i0 && seen[at - 1] !== seen[at]) ||
          (i < i1 - 1 && seen[at + 1] !== seen[at]) ||
          (j > j0 && seen[at - across] !== seen[at]) ||
          (j < j1 - 1 && seen[at + across] !== seen[at])
        if (isEdge && i >= 0 && j >= 0 && i < picture.nx && j < picture.ny) this.soften(i, j, seen[at]!, colourAt)
      }
  }

  /** An edge that goes through a pixel: how much of it each of its two colours takes, by sixteen places in it. */
  private soften(i: number, j: number, mine: number, colourAt: (p: Point) => number): void {
    const { picture, size } = this
    const d = picture.pixelMm
    let other = mine
    let takes = 0
    for (let n = 0; n < 16; n++) {
      const x = (i + ((n & 3) + 0.5) / 4) * d - size[0] / 2
      const y = (j + ((n >> 2) + 0.5) / 4) * d - size[1] / 2
      const colour = colourAt([x, y])
      if (colour !== mine) {
        other = colour
        takes++
      }
    }
    const k = j * picture.nx + i
    if (mine === BARE) {
      // What is laid now lies over a part of what was there.
      picture.beside[k] = other
      picture.part[k] = other === BARE ? 0 : Math.round((255 * takes) / 16)
      return
    }
    picture.beside[k] = other === BARE ? this.under[k]! : other
    picture.part[k] = Math.round((255 * takes) / 16)
  }

  private drop(i: number, j: number, colour: number, ul: number): void {
    const { picture, film, size } = this
    const { board } = film
    const [x, y] = [(i + 0.5) * picture.pixelMm, (j + 0.5) * picture.pixelMm]
    const ci = Math.floor((x / size[0]) * board.nx)
    const cj = Math.floor((y / size[1]) * board.ny)
    const on = ci >= 0 && cj >= 0 && ci < board.nx && cj < board.ny && board.inside[cj * board.nx + ci] === 1
    if (!on) {
      film.off[sideOf(x / size[0] - 0.5, y / size[1] - 0.5) * film.nus.length + colour]! += ul
      return
    }
    film.mix[(cj * board.nx + ci) * film.paints + colour]! += ul / board.cellMm ** 2
    if (i >= 0 && j >= 0 && i < picture.nx && j < picture.ny) {
      const k = j * picture.nx + i
      this.under[k] = picture.colour[k]!
      picture.colour[k] = colour
      picture.part[k] = 0
    }
  }
}

/** The side a place beyond the edge lies towards, as `SIDES` names them. */
const sideOf = (x: number, y: number) => (Math.abs(x) > Math.abs(y) ? (x < 0 ? 0 : 1) : y < 0 ? 2 : 3)
