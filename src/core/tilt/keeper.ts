import { isWithin, polygonArea, type Point } from '../surface/polygon'
import { xOf, yOf } from './board'
import type { OriginMap } from './originMap'

/** A place that was marked as worth keeping: its outline on the starting picture, and how much of it was seen then, mm². */
export interface Keeper {
  readonly outline: readonly Point[]
  readonly seenMm2: number
}

/** What became of a keeper. */
export interface Followed {
  /** Its middle now, mm; null where nothing of it is left. */
  readonly at: Point | null
  /** What is seen of it, of what was seen when it was marked; above 1 where it grew. */
  readonly share: number
  /** Longer way across ÷ the shorter one: 1 is round. */
  readonly stretch: number
}

const ROUND = 32

/** The map at a place, mm: bilinear. */
function originAt(map: OriginMap, [x, y]: Point): Point {
  const { board, dx, dy } = map
  const ci = Math.max(0, Math.min(board.nx - 1.001, x / board.cellMm + board.nx / 2 - 0.5))
  const cj = Math.max(0, Math.min(board.ny - 1.001, y / board.cellMm + board.ny / 2 - 0.5))
  const [i, j] = [Math.floor(ci), Math.floor(cj)]
  const [a, b] = [ci - i, cj - j]
  const k = j * board.nx + i
  const mix = (f: Float32Array) =>
    (1 - b) * ((1 - a) * f[k]! + a * f[k + 1]!) + b * ((1 - a) * f[k + board.nx]! + a * f[k + board.nx + 1]!)
  return [x + mix(dx), y + mix(dy)]
}

/** Marks a disc of the board as it is seen now. Lengths in mm. */
export function keeperAt(map: OriginMap, at: Point, radiusMm: number): Keeper {
  const outline = Array.from({ length: ROUND }, (_, n): Point => {
    const a = (2 * Math.PI * n) / ROUND
    return originAt(map, [at[0] + radiusMm * Math.cos(a), at[1] + radiusMm * Math.sin(a)])
  })
  const cell = map.board.cellMm ** 2
  return { outline, seenMm2: Math.max(1, cellsOf({ outline }, map, () => true).n) * cell }
}

/** Where a keeper lay before the board was tilted: its middle and how large it was there, mm. */
export function beforeTilting({ outline }: Keeper): { readonly at: Point; readonly radiusMm: number } {
  const mean = (axis: 0 | 1) => outline.reduce((sum, p) => sum + p[axis], 0) / outline.length
  return { at: [mean(0), mean(1)], radiusMm: Math.sqrt(polygonArea(outline) / Math.PI) }
}

/** Where a keeper is now, how much of it is seen, and how far it was drawn out. */
export function followed(keeper: Keeper, map: OriginMap, h: Float64Array): Followed {
  const { n, x, y, xx, yy, xy } = cellsOf(keeper, map, (k) => h[k]! > 0)
  if (n === 0) return { at: null, share: 0, stretch: 1 }
  const [mx, my] = [x / n, y / n]
  const own = map.board.cellMm ** 2 / 12
  const [vx, vy, vxy] = [xx / n - mx * mx + own, yy / n - my * my + own, xy / n - mx * my]
  const half = (vx + vy) / 2
  const spread = Math.hypot((vx - vy) / 2, vxy)
  return {
    at: [mx, my],
    share: (n * map.board.cellMm ** 2) / keeper.seenMm2,
    stretch: Math.sqrt((half + spread) / Math.max(1e-9, half - spread)),
  }
}

/** The cells that came from within a keeper, with the sums of their places. */
function cellsOf(keeper: Pick<Keeper, 'outline'>, map: OriginMap, isWet: (k: number) => boolean) {
  const { board, dx, dy } = map
  const { outline } = keeper
  const xs = outline.map((p) => p[0])
  const ys = outline.map((p) => p[1])
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const sums = { n: 0, x: 0, y: 0, xx: 0, yy: 0, xy: 0 }
  for (let j = 0; j < board.ny; j++)
    for (let i = 0; i < board.nx; i++) {
      const k = j * board.nx + i
      if (!board.inside[k]) continue
      const [px, py] = [xOf(board, i), yOf(board, j)]
      const ox = px + dx[k]!
      const oy = py + dy[k]!
      if (ox < x0 || ox > x1 || oy < y0 || oy > y1 || !isWet(k) || !isWithin(outline, ox, oy)) continue
      sums.n++
      sums.x += px
      sums.y += py
      sums.xx += px * px
      sums.yy += py * py
      sums.xy += px * py
    }
  return sums
}
