import type { Board } from './board'

const { floor } = Math

/**
 * Where the paint that is now seen came from: of each cell the way back to its place on the starting picture, mm. Carried
 * back along the speed of the surface (semi-Lagrangian, midpoint rule) with Catmull–Rom between cells, so that lines far
 * thinner than a cell stay sharp. Where a neighbour is dry or off the board it is left out.
 */
export class OriginMap {
  /** Origin less place, mm right and down. */
  readonly dx: Float32Array
  readonly dy: Float32Array
  private readonly nextX: Float32Array
  private readonly nextY: Float32Array
  private readonly u: Float32Array
  private readonly v: Float32Array
  /** 1 where all sixteen cells around the square between this cell and the next carry paint. */
  private readonly whole: Uint8Array
  private readonly across: Uint8Array
  /** How many cells were wet, and in which box, when they were marked. */
  private wet = -1
  private marked = [0, 0, 0, 0]

  constructor(readonly board: Board) {
    const n = board.nx * board.ny
    const made = () => new Float32Array(n)
    ;[this.dx, this.dy, this.nextX, this.nextY, this.u, this.v] = [made(), made(), made(), made(), made(), made()]
    this.whole = new Uint8Array(n)
    this.across = new Uint8Array(n)
  }

  /**
   * Goes on by `dt` seconds.
   * @param h heights, mm: only where there is paint is anything carried
   * @param speedX speeds through the faces between columns, mm/s, (nx + 1) · ny; @param speedY between rows, nx · (ny + 1)
   */
  step(
    dt: number,
    h: Float64Array,
    speedX: Float32Array,
    speedY: Float32Array,
    box: Readonly<{ i0: number; i1: number; j0: number; j1: number }>,
  ): void {
    const { board, u, v, nextX, nextY, dx, dy } = this
    const { nx, cellMm } = board
    const { i0, i1, j0, j1 } = box
    const wet = this.speedsOfCells(h, speedX, speedY, box)
    // What is wet stays wet: where no cell came to it, nothing has changed.
    if (
      wet !== this.wet ||
      i0 !== this.marked[0] ||
      i1 !== this.marked[1] ||
      j0 !== this.marked[2] ||
      j1 !== this.marked[3]
    ) {
      this.mark(h, box)
      this.wet = wet
      this.marked = [i0, i1, j0, j1]
    }
    const perCell = dt / cellMm
    const still = 1e-4
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const k = j * nx + i
        if (h[k]! <= 0) continue
        let ci = u[k]! * perCell
        let cj = v[k]! * perCell
        if (ci < still && ci > -still && cj < still && cj > -still) {
          nextX[k] = dx[k]!
          nextY[k] = dy[k]!
          continue
        }
        // Half the way back, and the speed there.
        const hi = clamp(i - 0.5 * ci, i0, i1)
        const hj = clamp(j - 0.5 * cj, j0, j1)
        this.speedAt(h, hi, hj)
        ci = this.speedX * perCell
        cj = this.speedY * perCell
        const di = clamp(i - ci, i0, i1)
        const dj = clamp(j - cj, j0, j1)
        this.look(h, di, dj, k)
        nextX[k] = this.foundX + (di - i) * cellMm
        nextY[k] = this.foundY + (dj - j) * cellMm
      }
    for (let j = j0; j <= j1; j++) {
      const from = j * nx + i0
      const to = j * nx + i1 + 1
      dx.set(nextX.subarray(from, to), from)
      dy.set(nextY.subarray(from, to), from)
    }
  }

  private speedX = 0
  private speedY = 0
  private foundX = 0
  private foundY = 0

  /** The speed between cells, mm/s. */
  private speedAt(h: Float64Array, x: number, y: number): void {
    const { u, v, board } = this
    const i = floor(x)
    const j = floor(y)
    const at = j * board.nx + i
    if (!this.whole[at]) {
      this.speedX = this.between(u, h, x, y)
      this.speedY = this.between(v, h, x, y)
      return
    }
    const below = at + board.nx
    const p = x - i
    const q = y - j
    const a = (1 - p) * (1 - q)
    const b = p * (1 - q)
    const c = (1 - p) * q
    const d = p * q
    this.speedX = a * u[at]! + b * u[at + 1]! + c * u[below]! + d * u[below + 1]!
    this.speedY = a * v[at]! + b * v[at + 1]! + c * v[below]! + d * v[below + 1]!
  }

  /** The map at a place in cells; where nothing wet is near, as it is at cell `k`. */
  private look(h: Float64Array, x: number, y: number, k: number): void {
    const { board, dx, dy } = this
    const nx = board.nx
    const i = floor(x)
    const j = floor(y)
    const at = j * nx + i
    if (this.whole[at]) {
      const t = x - i
      const s = y - j
      const x0 = first(t)
      const x1 = second(t)
      const x2 = second(1 - t)
      const x3 = first(1 - t)
      const y0 = first(s)
      const y1 = second(s)
      const y2 = second(1 - s)
      const y3 = first(1 - s)
      let sumX = 0
      let sumY = 0
      for (let b = 0, row = at - nx - 1; b < 4; b++, row += nx) {
        const w = b === 0 ? y0 : b === 1 ? y1 : b === 2 ? y2 : y3
        sumX += w * (x0 * dx[row]! + x1 * dx[row + 1]! + x2 * dx[row + 2]! + x3 * dx[row + 3]!)
        sumY += w * (x0 * dy[row]! + x1 * dy[row + 1]! + x2 * dy[row + 2]! + x3 * dy[row + 3]!)
      }
      this.foundX = sumX
      this.foundY = sumY
      return
    }
    let sum = 0
    let sumX = 0
    let sumY = 0
    for (let b = 0; b < 2; b++)
      for (let a = 0; a < 2; a++) {
        if (i + a >= nx || j + b >= board.ny) continue
        const n = at + b * nx + a
        if (h[n]! <= 0) continue
        const w = (a ? x - i : 1 - x + i) * (b ? y - j : 1 - y + j)
        sum += w
        sumX += w * dx[n]!
        sumY += w * dy[n]!
      }
    this.foundX = sum > 1e-6 ? sumX / sum : dx[k]!
    this.foundY = sum > 1e-6 ? sumY / sum : dy[k]!
  }

  /** A speed between cells, over those that are wet. */
  private between(field: Float32Array, h: Float64Array, x: number, y: number): number {
    const { nx, ny } = this.board
    const i = floor(x)
    const j = floor(y)
    let sum = 0
    let weight = 0
    for (let b = 0; b < 2; b++)
      for (let a = 0; a < 2; a++) {
        if (i + a >= nx || j + b >= ny) continue
        const n = (j + b) * nx + i + a
        if (h[n]! <= 0) continue
        const w = (a ? x - i : 1 - x + i) * (b ? y - j : 1 - y + j)
        weight += w
        sum += w * field[n]!
      }
    return weight > 1e-6 ? sum / weight : 0
  }

  /** How many are wet. Of a cell the mean of its faces; at a front, where one of them is still dry, the speed of the other. */
  private speedsOfCells(
    h: Float64Array,
    speedX: Float32Array,
    speedY: Float32Array,
    { i0, i1, j0, j1 }: Readonly<{ i0: number; i1: number; j0: number; j1: number }>,
  ): number {
    const { board, u, v } = this
    const { nx, ny } = board
    let wet = 0
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const k = j * nx + i
        if (h[k]! <= 0) continue
        wet++
        const left = speedX[j * (nx + 1) + i]!
        const right = speedX[j * (nx + 1) + i + 1]!
        const top = speedY[k]!
        const bottom = speedY[k + nx]!
        const dryLeft = i === 0 || h[k - 1]! <= 0
        const dryRight = i === nx - 1 || h[k + 1]! <= 0
        const dryTop = j === 0 || h[k - nx]! <= 0
        const dryBottom = j === ny - 1 || h[k + nx]! <= 0
        u[k] = mean(left, right, dryLeft, dryRight)
        v[k] = mean(top, bottom, dryTop, dryBottom)
      }
    return wet
  }

  private mark(
    h: Float64Array,
    { i0, i1, j0, j1 }: Readonly<{ i0: number; i1: number; j0: number; j1: number }>,
  ): void {
    const { board, whole, across } = this
    const nx = board.nx
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const k = j * nx + i
        across[k] = i > i0 && i < i1 - 1 && h[k - 1]! > 0 && h[k]! > 0 && h[k + 1]! > 0 && h[k + 2]! > 0 ? 1 : 0
      }
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const k = j * nx + i
        whole[k] = j > j0 && j < j1 - 1 && across[k - nx]! & across[k]! & across[k + nx]! & across[k + 2 * nx]! ? 1 : 0
      }
  }
}

const clamp = (x: number, low: number, high: number) => (x < low ? low : x > high ? high : x)

const mean = (a: number, b: number, dryA: boolean, dryB: boolean) =>
  dryA === dryB ? 0.5 * (a + b) : dryA && a === 0 ? b : dryB && b === 0 ? a : 0.5 * (a + b)

/** Weights of the first and second of four points for a place between the second and the third, 0–1 (Catmull & Rom 1974); those of the others are the same from the other side. */
const first = (t: number) => 0.5 * t * (t * (2 - t) - 1)
const second = (t: number) => 0.5 * (t * t * (3 * t - 5) + 2)
