import { Invalid } from '../errors'
import type { Board } from './board'

const { exp } = Math

/** Gravity, mm/s². */
export const G = 9810

/** How paint behaves at the edge of a face. Start values of Fika; the lip is near the capillary length of paint. */
export interface EdgeHold {
  /** A film on a level board holds at the edge until it stands so high, mm. */
  readonly lipMm: number
  /** Tilted towards an edge by less than this, degrees, it holds as on a level board. */
  readonly holdDeg: number
}
export const EDGE_HOLD: EdgeHold = { lipMm: 1.8, holdDeg: 1 }

/** Sides of the board over which paint runs off, in the order `Film.off` counts them. */
export const SIDES = ['left', 'right', 'top', 'bottom'] as const

/** Kinematic viscosities that are rehearsed, mm²/s: from water-thin to what hardly moves. */
export const NU_RANGE = [20, 20_000] as const

/** A tilt of the board: the sines of its slopes, downhill to the right and towards the maker. */
export interface Slope {
  readonly sx: number
  readonly sy: number
}

export const slopeOf = (xDeg: number, yDeg: number): Slope => ({
  sx: Math.sin((xDeg * Math.PI) / 180),
  sy: Math.sin((yDeg * Math.PI) / 180),
})

/**
 * A film of paints on a board, in mm and s: ∂h/∂t + ∇·q = 0 with q = (g/3ν) h³ (sin θ − cos θ ∇h), lubrication theory
 * (Reynolds 1886; as in Huppert 1982). Finite volumes, mobility from upstream, implicit line by line in rows and columns
 * by turns: at any step nothing falls below zero and nothing is lost. Each paint is carried by the same flows.
 */
export class Film {
  /** Height of the film, mm. */
  readonly h: Float64Array
  /** Of each paint, mm, at index cell · paints + paint: of one cell they lie side by side and sum to its `h`. */
  readonly mix: Float64Array
  readonly paints: number
  /** What ran off: over each of `SIDES` of each paint, mm³ = µl, at index side · paints + paint. */
  readonly off: Float64Array
  /** Speed of the surface through the faces between cells, mm/s: (nx + 1) · ny and nx · (ny + 1). */
  readonly speedX: Float32Array
  readonly speedY: Float32Array
  /** For each run of rows and columns whether paint has gone over its two ends. */
  readonly wetRows: Uint8Array
  readonly wetColumns: Uint8Array
  private readonly lnNu: Float64Array
  /** g/3ν of what lies in each cell. */
  private readonly flow: Float64Array
  private readonly line: Line
  /** Sine of the lean an edge holds. */
  private readonly hold: number
  private box = { i0: 0, i1: -1, j0: 0, j1: -1 }
  private rowsFirst = false
  /** The fastest the surface went in the last step, mm/s. */
  fastest = 0

  /** @throws Invalid for a viscosity that is not rehearsed */
  constructor(
    readonly board: Board,
    readonly nus: readonly number[],
    readonly edge: EdgeHold = EDGE_HOLD,
  ) {
    for (const nu of nus)
      if (!(nu >= NU_RANGE[0] && nu <= NU_RANGE[1]))
        throw new Invalid(
          `A bottle's viscosity of ${Math.round(nu)} mm²/s cannot be rehearsed: it must lie between ${NU_RANGE[0]} and ${NU_RANGE[1]}. Read its level time again.`,
        )
    const n = board.nx * board.ny
    this.h = new Float64Array(n)
    this.paints = nus.length
    this.mix = new Float64Array(n * nus.length)
    this.off = new Float64Array(4 * nus.length)
    this.speedX = new Float32Array((board.nx + 1) * board.ny)
    this.speedY = new Float32Array(board.nx * (board.ny + 1))
    this.wetRows = new Uint8Array((2 * board.rows.length) / 3)
    this.wetColumns = new Uint8Array((2 * board.columns.length) / 3)
    this.lnNu = Float64Array.from(nus, Math.log)
    this.flow = new Float64Array(n).fill(G / 3 / (nus[0] ?? 200))
    this.hold = Math.sin((edge.holdDeg * Math.PI) / 180)
    this.line = new Line(Math.max(board.nx, board.ny), nus.length)
  }

  /** What of a paint is on the board, mm³ = µl. */
  volumeOf(paint: number): number {
    const { mix, paints, board } = this
    let sum = 0
    for (let at = paint; at < mix.length; at += paints) sum += mix[at]!
    return sum * board.cellMm * board.cellMm
  }

  /** To be called after `mix` was written: heights follow, and what is computed is the wet part of the board. */
  settle(): void {
    const { nx, ny } = this.board
    this.h.fill(0)
    for (let k = 0, at = 0; k < this.h.length; k++) for (let s = 0; s < this.paints; s++) this.h[k]! += this.mix[at++]!
    const box = { i0: nx, i1: -1, j0: ny, j1: -1 }
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++)
        if (this.h[j * nx + i]! > 0) {
          box.i0 = Math.min(box.i0, i)
          box.i1 = Math.max(box.i1, i)
          box.j0 = Math.min(box.j0, j)
          box.j1 = Math.max(box.j1, j)
        }
    this.box = box
  }

  /** Everything that changes, to come back to. */
  snapshot() {
    return {
      mix: this.mix.slice(),
      off: this.off.slice(),
      wetRows: this.wetRows.slice(),
      wetColumns: this.wetColumns.slice(),
    }
  }

  restore({ mix, off, wetRows, wetColumns }: ReturnType<Film['snapshot']>): void {
    this.mix.set(mix)
    this.off.set(off)
    this.wetRows.set(wetRows)
    this.wetColumns.set(wetColumns)
    this.settle()
  }

  /** Share of the edge that paint went over, 0–1. */
  edgeWet(): number {
    const all = this.wetRows.length + this.wetColumns.length
    const wet = (list: Uint8Array) => list.reduce((sum, w) => sum + w, 0)
    return all ? (wet(this.wetRows) + wet(this.wetColumns)) / all : 0
  }

  /** The wet part of the board: first and last column and row. */
  get wetBox(): Readonly<{ i0: number; i1: number; j0: number; j1: number }> {
    return this.box
  }

  /** Goes on by `dt` seconds on a board tilted so. */
  step(dt: number, { sx, sy }: Slope): void {
    if (this.box.i1 < 0) return
    this.grow()
    this.viscosities()
    const cos = Math.sqrt(Math.max(0, 1 - sx * sx - sy * sy))
    this.rowsFirst = !this.rowsFirst
    this.fastest = 0
    if (this.rowsFirst) this.sweepRows(dt, sx, cos)
    this.sweepColumns(dt, sy, cos)
    if (!this.rowsFirst) this.sweepRows(dt, sx, cos)
  }

  /** In one sweep paint comes one cell further at most: nothing flows out of a dry cell. */
  private grow(): void {
    const { nx, ny } = this.board
    const { i0, i1, j0, j1 } = this.box
    const wet = (from: number, to: number, by: number) => {
      for (let k = from; k <= to; k += by) if (this.h[k]! > 0) return true
      return false
    }
    const [left, right] = [wet(j0 * nx + i0, j1 * nx + i0, nx), wet(j0 * nx + i1, j1 * nx + i1, nx)]
    const [top, bottom] = [wet(j0 * nx + i0, j0 * nx + i1, 1), wet(j1 * nx + i0, j1 * nx + i1, 1)]
    this.box = {
      i0: left ? Math.max(0, i0 - 1) : i0,
      i1: right ? Math.min(nx - 1, i1 + 1) : i1,
      j0: top ? Math.max(0, j0 - 1) : j0,
      j1: bottom ? Math.min(ny - 1, j1 + 1) : j1,
    }
  }

  /** What mixes has a viscosity between its parts: ln ν by volume (Arrhenius' rule of mixing). */
  private viscosities(): void {
    const { lnNu, mix, paints, h, flow, board, box } = this
    if (lnNu.every((l) => Math.abs(l - lnNu[0]!) < 1e-3)) return
    for (let j = box.j0; j <= box.j1; j++)
      for (let k = j * board.nx + box.i0; k <= j * board.nx + box.i1; k++) {
        const height = h[k]!
        if (height <= 0) continue
        let sum = 0
        for (let s = 0, at = k * paints; s < paints; s++) sum += mix[at + s]! * lnNu[s]!
        flow[k] = perNu(sum / height)
      }
  }

  private sweepRows(dt: number, slope: number, cos: number): void {
    const { board, box } = this
    for (let r = 0; r < board.rows.length; r += 3) {
      const j = board.rows[r]!
      if (j < box.j0 || j > box.j1) continue
      this.sweep(r / 3, j * board.nx, 1, board.rows[r + 1]!, board.rows[r + 2]!, box.i0, box.i1, dt, slope, cos, true)
    }
  }

  private sweepColumns(dt: number, slope: number, cos: number): void {
    const { board, box } = this
    for (let c = 0; c < board.columns.length; c += 3) {
      const i = board.columns[c]!
      if (i < box.i0 || i > box.i1) continue
      const [from, to] = [board.columns[c + 1]!, board.columns[c + 2]!]
      this.sweep(c / 3, i, board.nx, from, to, box.j0, box.j1, dt, slope, cos, false)
    }
  }

  /** One run: heights first, then every paint by the flows that were found. */
  private sweep(
    run: number,
    base: number,
    stride: number,
    from: number,
    to: number,
    low: number,
    high: number,
    dt: number,
    slope: number,
    cos: number,
    isRow: boolean,
  ): void {
    const a = Math.max(from, low)
    const b = Math.min(to, high)
    if (b < a) return
    const { h, line, flow, mix, paints, off, board } = this
    const first = a === from ? this.over(h[base + a * stride]!, -slope, cos) : 0
    const last = b === to ? this.over(h[base + b * stride]!, slope, cos) : 0
    if (!line.heights(h, flow, base, stride, a, b, dt, board.cellMm, slope, cos, first, last)) return
    const side = isRow ? 0 : 2
    const area = board.cellMm * board.cellMm
    line.carry(h, mix, base, stride, a, b)
    for (let s = 0; s < paints; s++) {
      off[side * paints + s]! += line.lostFirst[s]! * area
      off[(side + 1) * paints + s]! += line.lostLast[s]! * area
    }
    const wet = isRow ? this.wetRows : this.wetColumns
    if (line.outFirst > 1e-4) wet[2 * run] = 1
    if (line.outLast > 1e-4) wet[2 * run + 1] = 1
    this.speeds(base, stride, a, b, dt, isRow)
  }

  /** What drives paint over an edge: the slope towards it beyond what the edge holds, and what stands above the lip. */
  private over(height: number, outward: number, cos: number): number {
    const above = Math.max(0, height - this.edge.lipMm)
    const slope = outward > 0 && outward <= this.hold ? 0 : outward
    return Math.max(0, slope + (2 * cos * above) / this.board.cellMm)
  }

  /** Speed of the surface, one and a half times that of the film (parabolic profile). */
  private speeds(base: number, stride: number, a: number, b: number, dt: number, isRow: boolean): void {
    const { line, h, board } = this
    const speeds = isRow ? this.speedX : this.speedY
    const first = isRow ? (base / board.nx) * (board.nx + 1) : base
    const scale = (1.5 * board.cellMm) / dt
    const { moved } = line
    let fastest = this.fastest
    const low = h[base + a * stride]!
    const high = h[base + b * stride]!
    speeds[first + a * stride] = low > DRY ? (-scale * line.outFirst) / low : 0
    speeds[first + (b + 1) * stride] = high > DRY ? (scale * line.outLast) / high : 0
    for (let i = a; i < b; i++) {
      const went = moved[i - a]!
      const up = h[base + (went >= 0 ? i : i + 1) * stride]!
      const speed = up > DRY ? (scale * went) / up : 0
      speeds[first + (i + 1) * stride] = speed
      if (speed > fastest) fastest = speed
      else if (-speed > fastest) fastest = -speed
    }
    this.fastest = fastest
  }
}

/** g/3ν by ln ν in small steps: an exponential for every cell takes a tenth of a rehearsal, and straight lines between these are within 10⁻⁶. */
const LN_LEAST = Math.log(NU_RANGE[0]) - 0.01
const PER_LN = 512
const FLOWS = Float64Array.from(
  { length: Math.ceil((Math.log(NU_RANGE[1]) + 0.02 - LN_LEAST) * PER_LN) + 1 },
  (_, i) => (G / 3) * exp(-LN_LEAST - i / PER_LN),
)
function perNu(lnNu: number): number {
  // In the last trace of a film shares are no shares any more; what there is of it does not run.
  const at = (lnNu - LN_LEAST) * PER_LN
  const x = at > 0 ? (at < FLOWS.length - 2 ? at : FLOWS.length - 2) : 0
  const i = x | 0
  return FLOWS[i]! + (x - i) * (FLOWS[i + 1]! - FLOWS[i]!)
}

/** What is no film any more, mm. */
const DRY = 1e-9

/** What one run of cells is solved with; made once, so that a step allocates nothing. */
class Line {
  /** What went from each cell to the next, mm of a cell. */
  readonly moved: Float64Array
  outFirst = 0
  outLast = 0
  /** Of each paint what went out at the two ends, mm of a cell. */
  readonly lostFirst: Float64Array
  readonly lostLast: Float64Array
  private readonly here: Float64Array
  private readonly next: Float64Array
  private readonly upper: Float64Array
  private readonly value: Float64Array
  /** The solved matrix of the paints: its upper part, one over its pivots, and its lower part. */
  private readonly carriedUpper: Float64Array
  private readonly perPivot: Float64Array
  private readonly lower: Float64Array
  /** Shares of the paints, cell by cell, behind one cell of none. */
  private readonly shares: Float64Array

  constructor(
    most: number,
    private readonly paints: number,
  ) {
    const made = () => new Float64Array(most + 1)
    ;[this.moved, this.here, this.next, this.upper] = [made(), made(), made(), made()]
    ;[this.value, this.carriedUpper, this.perPivot, this.lower] = [made(), made(), made(), made()]
    this.shares = new Float64Array((most + 2) * paints)
    this.lostFirst = new Float64Array(paints)
    this.lostLast = new Float64Array(paints)
  }

  /**
   * Heights after `dt`, by a tridiagonal M-matrix whose columns sum to one. What goes from cell to cell is
   * here · hᵢ + next · hᵢ₊₁ of the new heights: driven by slope and by the fall of the surface, both as mobile as the
   * film upstream was. False where the run is dry.
   */
  heights(
    h: Float64Array,
    flow: Float64Array,
    base: number,
    stride: number,
    a: number,
    b: number,
    dt: number,
    cellMm: number,
    slope: number,
    cos: number,
    overFirst: number,
    overLast: number,
  ): boolean {
    const { here, next, upper, value, moved } = this
    const rate = dt / cellMm
    const fall = cos / cellMm
    const n = b - a
    let wet = false
    let k = base + a * stride
    let mine = h[k]!
    for (let i = 0; i < n; i++, k += stride) {
      const other = h[k + stride]!
      if (mine > 0) wet = true
      const drive = slope - fall * (other - mine)
      if (drive >= 0) {
        const w = rate * flow[k]! * mine * mine
        const level = w * fall * mine
        here[i] = w * slope + level
        next[i] = -level
      } else {
        const w = rate * flow[k + stride]! * other * other
        const level = w * fall * other
        here[i] = level
        next[i] = w * slope - level
      }
      mine = other
    }
    if (!wet && !(mine > 0)) {
      this.outFirst = this.outLast = 0
      return false
    }
    const ka = base + a * stride
    const kb = base + b * stride
    const goesFirst = rate * flow[ka]! * h[ka]! * h[ka]! * overFirst
    const goesLast = rate * flow[kb]! * h[kb]! * h[kb]! * overLast
    // Forward.
    let before = 0
    let beforeValue = 0
    k = ka
    for (let i = 0; i <= n; i++, k += stride) {
      const fromLast = i > 0 ? here[i - 1]! : 0
      let diagonal = 1 + (i < n ? here[i]! : goesLast) - (i > 0 ? next[i - 1]! : 0)
      if (i === 0) diagonal += goesFirst
      const perPivot = 1 / (diagonal + fromLast * before)
      before = i < n ? next[i]! * perPivot : 0
      beforeValue = (h[k]! + fromLast * beforeValue) * perPivot
      upper[i] = before
      value[i] = beforeValue
    }
    // Back.
    let after = value[n]!
    h[kb] = after
    k = kb - stride
    for (let i = n - 1; i >= 0; i--, k -= stride) {
      const height = value[i]! - upper[i]! * after
      moved[i] = here[i]! * height + next[i]! * after
      h[k] = height
      after = height
    }
    this.outFirst = goesFirst * h[ka]!
    this.outLast = goesLast * h[kb]!
    return true
  }

  /** The paints by the flows of the heights: implicit, from upstream; shares stay between none and all. */
  carry(h: Float64Array, mix: Float64Array, base: number, stride: number, a: number, b: number): void {
    const { carriedUpper, perPivot, lower, shares, paints, lostFirst, lostLast } = this
    const n = b - a
    this.factor(h, base, stride, a, n)
    const far = stride * paints
    let at = (base + a * stride) * paints
    let of = paints
    for (let i = 0; i <= n; i++, at += far, of += paints) {
      const comes = lower[i]!
      const per = perPivot[i]!
      for (let s = 0; s < paints; s++) shares[of + s] = (mix[at + s]! + comes * shares[of + s - paints]!) * per
    }
    let k = base + b * stride
    at = k * paints
    of = (n + 1) * paints
    for (let s = 0; s < paints; s++) {
      lostLast[s] = this.outLast * shares[of + s]!
      mix[at + s] = h[k]! * shares[of + s]!
    }
    for (let i = n - 1; i >= 0; i--) {
      k -= stride
      at -= far
      of -= paints
      const comes = carriedUpper[i]!
      const height = h[k]!
      for (let s = 0; s < paints; s++) {
        const share = shares[of + s]! + comes * shares[of + s + paints]!
        shares[of + s] = share
        mix[at + s] = height * share
      }
    }
    for (let s = 0; s < paints; s++) lostFirst[s] = this.outFirst * shares[paints + s]!
  }

  private factor(h: Float64Array, base: number, stride: number, a: number, n: number): void {
    const { moved, carriedUpper, perPivot, lower } = this
    let k = base + a * stride
    for (let i = 0; i <= n; i++, k += stride) {
      const right = i < n ? moved[i]! : 0
      const left = i > 0 ? moved[i - 1]! : 0
      let diagonal = h[k]! + (right > 0 ? right : 0) + (left < 0 ? -left : 0)
      if (i === 0) diagonal += this.outFirst
      if (i === n) diagonal += this.outLast
      const comes = left > 0 ? left : 0
      lower[i] = comes
      const pivot = diagonal - comes * (i > 0 ? carriedUpper[i - 1]! : 0)
      const per = pivot > 1e-300 ? 1 / pivot : 0
      perPivot[i] = per
      carriedUpper[i] = right < 0 ? -right * per : 0
    }
  }
}
