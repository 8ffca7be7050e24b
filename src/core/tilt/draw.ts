import { hexToSrgb, toGamma, toLinear } from '../colour/srgb'
import type { Sheen } from '../paint/properties'
import { outline } from '../surface/shapes'
import { BARE } from './start'
import type { Rehearsal } from './rehearsal'

const { floor } = Math

/** How a picture is drawn: wet it is brighter and mirrors the light; dry it is darker, and metals show. */
export type Surface = 'wet' | 'dry'

/** Linear light of the bare board. */
const BOARD = hexToSrgb('#efece6').map(toLinear)

/** sRGB of linear light in 4,096 steps. */
const GAMMA = Uint8ClampedArray.from({ length: 4097 }, (_, i) => Math.round(255 * toGamma(i / 4096)))

/** How much flakes of a sheen glitter, wet and dry. Start values of Fika. */
const GLITTER: Readonly<Partial<Record<Sheen, readonly [wet: number, dry: number]>>> = {
  pearl: [0.1, 0.14],
  'colour-shift': [0.12, 0.16],
  metallic: [0.16, 0.28],
  glitter: [0.2, 0.3],
}

/** A film thinner than this lets the board through, mm; and cells further apart than this on the starting picture are torn. */
const VEIL_MM = 0.03
const TORN_CELLS = 6

type Row = Float64Array

/** Draws one rehearsal, again and again; what it needs is made once. */
export class Drawing {
  private readonly linear: Float32Array
  private readonly glitter: Float32Array
  private readonly shine: Float32Array
  private readonly shade: Float32Array
  private readonly spans: Float32Array
  /** 1 where a cell, the next, and the two below carry paint that was not torn apart. */
  private readonly plain: Uint8Array
  /** Of each column of pixels: the cell to its left, how far it is to the next, 0–1, and where it lies, mm. */
  private readonly columns: Int32Array
  private readonly acrosses: Float64Array
  private readonly xs: Float64Array
  /** Film, light and map between two rows of cells. */
  private readonly row: readonly Row[]

  /** @param width of the picture, pixels: its height follows from the board */
  constructor(
    private readonly rehearsal: Rehearsal,
    readonly width: number,
    private readonly surface: Surface = 'wet',
  ) {
    const { colours } = rehearsal.task
    const dark = surface === 'dry' ? 0.78 : 1
    this.linear = Float32Array.from([
      ...colours.flatMap((c) => hexToSrgb(c.hex).map((v) => toLinear(v) * dark)),
      ...BOARD,
    ])
    this.glitter = Float32Array.from([...colours.map((c) => GLITTER[c.sheen]?.[surface === 'wet' ? 0 : 1] ?? 0), 0])
    const cells = rehearsal.film.h.length
    this.shine = new Float32Array(cells)
    this.shade = new Float32Array(cells)
    this.spans = spansOf(rehearsal, width, this.height)
    this.plain = new Uint8Array(cells)
    const { nx, cellMm } = rehearsal.film.board
    const middles = Float64Array.from({ length: width }, (_, px) => ((px + 0.5) * nx) / width - 0.5)
    this.columns = Int32Array.from(middles, (cx) => (cx < 0 ? 0 : floor(cx)))
    this.acrosses = middles.map((cx) => (cx < 0 ? 0 : cx - floor(cx)))
    this.row = Array.from({ length: 5 }, () => new Float64Array(nx))
    this.xs = middles.map((cx) => (cx + 0.5) * cellMm - (nx * cellMm) / 2)
  }

  get height(): number {
    const { nx, ny } = this.rehearsal.film.board
    return Math.max(1, Math.round((this.width * ny) / nx))
  }

  /** Into `rgba`, width × height × 4; beyond the face it is left clear. */
  draw(rgba: Uint8ClampedArray): void {
    this.light()
    const { rehearsal, width, height, spans, linear, glitter, shade, shine, plain, columns, acrosses, xs } = this
    const { film, map, picture } = rehearsal
    const { board, h } = film
    const { nx, ny, cellMm, inside } = board
    const { dx, dy } = map
    const [rowH, rowShade, rowShine, rowX, rowY] = this.row as [Row, Row, Row, Row, Row]
    const bare = this.linear.length - 3
    const [halfX, halfY] = [(nx * cellMm) / 2, (ny * cellMm) / 2]
    this.smooth()
    const perPixel = 1 / picture.pixelMm
    const torn = TORN_CELLS * cellMm
    for (let py = 0; py < height; py++) {
      const from = spans[2 * py]!
      const to = spans[2 * py + 1]!
      let o = py * width * 4
      const cy = ((py + 0.5) * ny) / height - 0.5
      const j0 = cy < 0 ? 0 : floor(cy)
      const j1 = j0 + 1 < ny ? j0 + 1 : j0
      const b = cy < 0 ? 0 : cy - j0
      const y = (cy + 0.5) * cellMm - halfY
      // Between two rows of cells first, so that pixels only go between two columns.
      for (let i = 0, k = j0 * nx, l = j1 * nx; i < nx; i++, k++, l++) {
        rowH[i] = h[k]! + b * (h[l]! - h[k]!)
        rowShade[i] = shade[k]! + b * (shade[l]! - shade[k]!)
        rowShine[i] = shine[k]! + b * (shine[l]! - shine[k]!)
        rowX[i] = dx[k]! + b * (dx[l]! - dx[k]!)
        rowY[i] = dy[k]! + b * (dy[l]! - dy[k]!)
      }
      for (let px = 0; px < width; px++, o += 4) {
        const cover = px < from ? px + 1 - from : px + 1 > to ? to - px : 1
        if (cover <= 0) {
          rgba[o + 3] = 0
          continue
        }
        const i0 = columns[px]!
        const i1 = i0 + 1 < nx ? i0 + 1 : i0
        const a = acrosses[px]!
        const k00 = j0 * nx + i0
        let height0 = 0
        let lit = 0
        let gleam = 0
        let ox = 0
        let oy = 0
        let isWet = true
        if (plain[k00]) {
          height0 = rowH[i0]! + a * (rowH[i1]! - rowH[i0]!)
          lit = rowShade[i0]! + a * (rowShade[i1]! - rowShade[i0]!)
          gleam = rowShine[i0]! + a * (rowShine[i1]! - rowShine[i0]!)
          ox = rowX[i0]! + a * (rowX[i1]! - rowX[i0]!)
          oy = rowY[i0]! + a * (rowY[i1]! - rowY[i0]!)
        } else {
          const k10 = j0 * nx + i1
          const k01 = j1 * nx + i0
          const k11 = j1 * nx + i1
          let w00 = inside[k00] ? (1 - a) * (1 - b) : 0
          let w10 = inside[k10] ? a * (1 - b) : 0
          let w01 = inside[k01] ? (1 - a) * b : 0
          let w11 = inside[k11] ? a * b : 0
          let w = w00 + w10 + w01 + w11
          if (w <= 0) w00 = w = 1
          const film00 = h[k00]!
          const film10 = h[k10]!
          const film01 = h[k01]!
          const film11 = h[k11]!
          height0 = (w00 * film00 + w10 * film10 + w01 * film01 + w11 * film11) / w
          lit = (w00 * shade[k00]! + w10 * shade[k10]! + w01 * shade[k01]! + w11 * shade[k11]!) / w
          gleam = (w00 * shine[k00]! + w10 * shine[k10]! + w01 * shine[k01]! + w11 * shine[k11]!) / w
          // The map is mixed over wet cells alone, and not across a tear.
          if (film00 <= 0) w00 = 0
          if (film10 <= 0) w10 = 0
          if (film01 <= 0) w01 = 0
          if (film11 <= 0) w11 = 0
          w = w00 + w10 + w01 + w11
          isWet = w > 1e-6
          if (isWet) {
            ox = (w00 * dx[k00]! + w10 * dx[k10]! + w01 * dx[k01]! + w11 * dx[k11]!) / w
            oy = (w00 * dy[k00]! + w10 * dy[k10]! + w01 * dy[k01]! + w11 * dy[k11]!) / w
            const biggest =
              w00 >= w10 && w00 >= w01 && w00 >= w11 ? k00 : w10 >= w01 && w10 >= w11 ? k10 : w01 >= w11 ? k01 : k11
            const offX = ox - dx[biggest]!
            const offY = oy - dy[biggest]!
            if (offX > torn || offX < -torn || offY > torn || offY < -torn) {
              ox = dx[biggest]!
              oy = dy[biggest]!
            }
          }
        }
        const x = xs[px]!
        let r = linear[bare]!
        let g = linear[bare + 1]!
        let blue = linear[bare + 2]!
        let flakes = 0
        let speck = 0
        if (isWet) {
          // Four pixels of the starting picture around the place it came from.
          const sx = (x + ox + halfX) * perPixel - 0.5
          const sy = (y + oy + halfY) * perPixel - 0.5
          const si = floor(sx)
          const sj = floor(sy)
          const ci = si < 0 ? 0 : si >= picture.nx - 1 ? picture.nx - 2 : si
          const cj = sj < 0 ? 0 : sj >= picture.ny - 1 ? picture.ny - 2 : sj
          const at = cj * picture.nx + ci
          const colour = picture.colour[at]!
          let first = colour === BARE ? bare : colour * 3
          let second = first
          let part = 0
          if (
            colour !== picture.colour[at + 1] ||
            colour !== picture.colour[at + picture.nx] ||
            colour !== picture.colour[at + picture.nx + 1] ||
            picture.part[at]! > 0
          ) {
            this.border(ci, cj, sx - ci, sy - cj)
            first = this.first === BARE ? bare : this.first * 3
            second = this.second === BARE ? bare : this.second * 3
            part = this.part
          }
          const sr = linear[first]! + part * (linear[second]! - linear[first]!)
          const sg = linear[first + 1]! + part * (linear[second + 1]! - linear[first + 1]!)
          const sb = linear[first + 2]! + part * (linear[second + 2]! - linear[first + 2]!)
          flakes = glitter[first / 3]! + part * (glitter[second / 3]! - glitter[first / 3]!)
          const shows = height0 >= VEIL_MM ? 1 : height0 / VEIL_MM
          r += shows * (sr - r)
          g += shows * (sg - g)
          blue += shows * (sb - blue)
          speck = flakes > 0 ? speckle(floor((x + ox) * 1.6), floor((y + oy) * 1.6)) : 0
        }
        const bright = lit * (1 + flakes * (2 * speck - 0.9) + (lit - 1) * flakes * 8)
        rgba[o] = GAMMA[level(r * bright + gleam)]!
        rgba[o + 1] = GAMMA[level(g * bright + gleam)]!
        rgba[o + 2] = GAMMA[level(blue * bright + gleam)]!
        rgba[o + 3] = cover >= 1 ? 255 : 255 * cover
      }
    }
  }

  private first = 0
  private second = 0
  private part = 0
  private readonly weights = new Float32Array(256)

  /**
   * Where colours meet, the two that weigh most in the sixteen pixels around, and how far it is to the second: a smooth
   * line through the steps of the pixels, however far it was drawn out.
   */
  private border(i: number, j: number, u: number, v: number): void {
    const { picture } = this.rehearsal
    const { weights } = this
    const { nx, ny, colour, beside, part } = picture
    for (let b = -1; b < 3; b++) {
      const qj = j + b < 0 ? 0 : j + b >= ny ? ny - 1 : j + b
      const wy = hill(b - v)
      for (let a = -1; a < 3; a++) {
        const qi = i + a < 0 ? 0 : i + a >= nx ? nx - 1 : i + a
        const q = qj * nx + qi
        const w = wy * hill(a - u)
        const over = (w * part[q]!) / 255
        weights[colour[q]!]! += w - over
        if (over > 0) weights[beside[q]!]! += over
      }
    }
    this.first = this.second = BARE
    this.most = this.next = 0
    for (let b = -1; b < 3; b++)
      for (let a = -1; a < 3; a++) {
        const qj = j + b < 0 ? 0 : j + b >= ny ? ny - 1 : j + b
        const qi = i + a < 0 ? 0 : i + a >= nx ? nx - 1 : i + a
        this.weigh(colour[qj * nx + qi]!)
        this.weigh(beside[qj * nx + qi]!)
      }
    const share = this.next > 0 ? this.next / (this.most + this.next) : 0
    if (this.next <= 0) this.second = this.first
    this.part = Math.max(0, 0.5 - (0.5 - share) * 3)
  }

  private most = 0
  private next = 0

  /** Takes a colour's weight out, once, and keeps the heaviest two. */
  private weigh(c: number): void {
    const w = this.weights[c]!
    if (w <= 0) return
    this.weights[c] = 0
    if (w > this.most) {
      this.second = this.first
      this.next = this.most
      this.first = c
      this.most = w
    } else if (w > this.next) {
      this.second = c
      this.next = w
    }
  }

  /** Where nothing has to be left out, a pixel between four cells is a plain mean of them. */
  private smooth(): void {
    const { plain, rehearsal } = this
    const { film, map } = rehearsal
    const { nx, ny, inside, cellMm } = film.board
    const { h } = film
    const torn = TORN_CELLS * cellMm
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++) {
        const k = j * nx + i
        plain[k] = 0
        if (i === nx - 1 || j === ny - 1) continue
        const [right, below, across] = [k + 1, k + nx, k + nx + 1]
        if (!(inside[k]! & inside[right]! & inside[below]! & inside[across]!)) continue
        if (h[k]! <= 0 || h[right]! <= 0 || h[below]! <= 0 || h[across]! <= 0) continue
        if (spread(map.dx, k, right, below, across) > torn || spread(map.dy, k, right, below, across) > torn) continue
        plain[k] = 1
      }
  }

  /** Light from the upper left over the slopes of the film: how bright each cell is, and what it mirrors. */
  private light(): void {
    const { rehearsal, shade, shine, surface } = this
    const { board, h } = rehearsal.film
    const { nx, ny, cellMm } = board
    const gloss = surface === 'wet' ? 0.5 : 0.06
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++) {
        const k = j * nx + i
        if (h[k]! <= 0) {
          shade[k] = 1
          shine[k] = 0
          continue
        }
        const left = i > 0 && board.inside[k - 1] ? h[k - 1]! : h[k]!
        const right = i < nx - 1 && board.inside[k + 1] ? h[k + 1]! : h[k]!
        const up = j > 0 && board.inside[k - nx] ? h[k - nx]! : h[k]!
        const down = j < ny - 1 && board.inside[k + nx] ? h[k + nx]! : h[k]!
        const gx = (right - left) / (2 * cellMm)
        const gy = (down - up) / (2 * cellMm)
        const facing = 0.6 * gx + 0.8 * gy
        shade[k] = 1 + (facing > 0.25 ? 0.25 : facing < -0.25 ? -0.25 : facing)
        const off = (gx - 0.13) ** 2 + (gy - 0.17) ** 2
        shine[k] = gloss * Math.exp(-off / 0.006)
      }
  }
}

/** How far the largest of four is from the smallest. */
function spread(field: Float32Array, a: number, b: number, c: number, d: number): number {
  const [p, q, r, s] = [field[a]!, field[b]!, field[c]!, field[d]!]
  return Math.max(p, q, r, s) - Math.min(p, q, r, s)
}

/** A hill two pixels wide to either side (quadratic). */
const hill = (x: number) => {
  const away = 1 - (x * x) / 4
  return away > 0 ? away * away : 0
}

const level = (linear: number) => (linear <= 0 ? 0 : linear >= 1 ? 4096 : floor(linear * 4096))

/** A number between 0 and 1 for a flake: the same wherever the paint has carried it. */
function speckle(i: number, j: number): number {
  let n = Math.imul(i, 374761393) + Math.imul(j, 668265263)
  n = Math.imul(n ^ (n >>> 13), 1274126177)
  return ((n ^ (n >>> 16)) >>> 0) / 4294967296
}

/** Where the face begins and ends in every row of pixels. */
function spansOf({ task, film }: Rehearsal, width: number, height: number): Float32Array {
  const spans = new Float32Array(2 * height)
  const corners = outline(task.shape)
  const [l, w] = [film.board.nx * film.board.cellMm, film.board.ny * film.board.cellMm]
  const isBox = task.shape.shape === 'rectangle' || task.shape.shape === 'tiles'
  for (let py = 0; py < height; py++) {
    const y = ((py + 0.5) / height - 0.5) * w
    let [low, high] = isBox ? [-l / 2, l / 2] : [Infinity, -Infinity]
    if (!isBox)
      corners.forEach(([ax, ay], n) => {
        const [bx, by] = corners[(n + 1) % corners.length]!
        if (ay > y === by > y) return
        const x = ax + ((y - ay) / (by - ay)) * (bx - ax)
        low = Math.min(low, x)
        high = Math.max(high, x)
      })
    spans[2 * py] = (low / l + 0.5) * width
    spans[2 * py + 1] = (high / l + 0.5) * width
  }
  return spans
}
