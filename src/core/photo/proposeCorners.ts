import { random } from '../random'
import type { Quad } from '../surface/homography'
import type { Point } from '../surface/polygon'
import { LINEAR_OF, labOf, type Picture } from './picture'
import { mustBeFace } from './rectify'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { abs, atan2, ceil, cos, floor, hypot, log, max, min, round, sin } = Math

/** The picture is looked at so small, pixels of its long side. */
const LOOKED_PX = 360
/** Rim of the picture that is taken for the table, as a share of it. */
const TABLE_RIM = 0.02
/** So much unlike the table is the piece, L*a*b*, at least. Start value of Fika. */
const UNLIKE = 7
/** Tries of a line, how near a point must be to count, pixels, and the least share of points that must. */
const LINE = { tries: 160, nearPx: 1.6, least: 0.5 } as const

/** Corners as shares of the picture, and whether four straight sides were found for them. */
export interface Proposal {
  readonly quad: Quad
  readonly isSure: boolean
}

/** The same corners of a picture that was taken with the piece lying on its side: each becomes the next to its right. */
export const turned = ([a, b, c, d]: Quad): Quad => [d, a, b, c]

/** Corners in the order that fits the face: turned a quarter where its long side lies the other way in the picture. */
export function asItLies(
  quad: Quad,
  picture: { readonly width: number; readonly height: number },
  face: { readonly lengthMm: number; readonly widthMm: number },
): Quad {
  const long = (a: Point, b: Point) => hypot((a[0] - b[0]) * picture.width, (a[1] - b[1]) * picture.height)
  const seen = log(
    (long(quad[0], quad[1]) + long(quad[3], quad[2])) / (long(quad[0], quad[3]) + long(quad[1], quad[2])),
  )
  const real = log(face.lengthMm / face.widthMm)
  return abs(seen + real) < abs(seen - real) - NEARLY_SQUARE ? turned(quad) : quad
}

/** A face this near to a square is left as it lies, ln of its sides. Start value of Fika. */
const NEARLY_SQUARE = 0.1

/** Where corners are put when nothing is found: a tenth in from the rim. */
const INSET: Quad = [
  [0.1, 0.1],
  [0.9, 0.1],
  [0.9, 0.9],
  [0.1, 0.9],
]

/**
 * Proposes the four corners of a piece on a table: from each side inward the first place unlike the table, and straight
 * lines through them by random sampling (RANSAC, Fischler & Bolles 1981, from memory), crossed.
 */
export function proposeCorners(picture: Picture): Proposal {
  const small = lookedAt(picture)
  const unlike = fromTable(small)
  const { width, height } = small
  const isPiece = (x: number, y: number) => unlike[y * width + x]! > 0
  const sides = [
    inward(width, height, (a, b) => isPiece(a, b)).map(([a, b]): Point => [a, b]),
    inward(height, width, (a, b) => isPiece(width - 1 - b, a)).map(([a, b]): Point => [width - 1 - b, a]),
    inward(width, height, (a, b) => isPiece(a, height - 1 - b)).map(([a, b]): Point => [a, height - 1 - b]),
    inward(height, width, (a, b) => isPiece(b, a)).map(([a, b]): Point => [b, a]),
  ]
  const lines = sides.map((points, i) => straight(points, i))
  if (lines.some((l) => l === undefined)) return { quad: INSET, isSure: false }
  const [top, right, bottom, left] = lines as [Line, Line, Line, Line]
  const px = [cross(top, left), cross(top, right), cross(bottom, right), cross(bottom, left)]
  // A line runs through the middles of the outermost pixels of the piece; its edge lies half a pixel farther out.
  const quad = px.map(([x, y], i) => [
    (x + (i === 0 || i === 3 ? 0 : 1)) / width,
    (y + (i < 2 ? 0 : 1)) / height,
  ]) as unknown as Quad
  try {
    mustBeFace(quad, picture)
  } catch {
    return { quad: INSET, isSure: false }
  }
  const held = quad.map(([x, y]) => [min(1, max(0, x)), min(1, max(0, y))]) as unknown as Quad
  return { quad: held, isSure: lines.every((l) => l!.share >= LINE.least) }
}

interface Small {
  readonly width: number
  readonly height: number
  readonly lab: Float32Array
}

/** The picture made small, in L*a*b*: means of blocks. */
function lookedAt(picture: Picture): Small {
  const by = max(1, max(picture.width, picture.height) / LOOKED_PX)
  const [width, height] = [floor(picture.width / by), floor(picture.height / by)]
  const lab = new Float32Array(3 * width * height)
  const n = min(4, ceil(by))
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const sum = [0, 0, 0]
      for (let sy = 0; sy < n; sy++)
        for (let sx = 0; sx < n; sx++) {
          const px = min(picture.width - 1, floor((x + (sx + 0.5) / n) * by))
          const py = min(picture.height - 1, floor((y + (sy + 0.5) / n) * by))
          for (let c = 0; c < 3; c++) sum[c]! += LINEAR_OF[picture.data[4 * (py * picture.width + px) + c]!]! / (n * n)
        }
      lab.set(labOf(sum[0]!, sum[1]!, sum[2]!), 3 * (y * width + x))
    }
  return { width, height, lab }
}

/** 1 where a pixel is unlike the table, as a plane through its rim has it: light falls off over a table too. */
function fromTable({ width, height, lab }: Small): Uint8Array {
  const rim = max(2, round(TABLE_RIM * max(width, height)))
  const corners = [
    [0, 0],
    [width - 3 * rim, 0],
    [0, height - 3 * rim],
    [width - 3 * rim, height - 3 * rim],
  ].map(([x0, y0]) => middleOf({ width, height, lab }, x0!, y0!, 3 * rim))
  const out = new Uint8Array(width * height)
  const table = (x: number, y: number, c: number) => {
    const [u, v] = [x / width, y / height]
    const [p, q, r, s] = corners.map((m) => m[c]!) as [number, number, number, number]
    return (1 - v) * ((1 - u) * p + u * q) + v * ((1 - u) * r + u * s)
  }
  const rest: number[] = []
  const off = (x: number, y: number) => hypot(...[0, 1, 2].map((c) => lab[3 * (y * width + x) + c]! - table(x, y, c)))
  for (let x = 0; x < width; x += 2) rest.push(off(x, 1), off(x, height - 2))
  for (let y = 0; y < height; y += 2) rest.push(off(1, y), off(width - 2, y))
  rest.sort((a, b) => a - b)
  const least = max(UNLIKE, 2.5 * rest[rest.length >> 1]!)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) out[y * width + x] = off(x, y) > least ? 1 : 0
  return out
}

function middleOf({ width, height, lab }: Small, x0: number, y0: number, size: number): number[] {
  return [0, 1, 2].map((c) => {
    const list: number[] = []
    for (let y = max(0, y0); y < min(height, y0 + size); y++)
      for (let x = max(0, x0); x < min(width, x0 + size); x++) list.push(lab[3 * (y * width + x) + c]!)
    list.sort((a, b) => a - b)
    return list[list.length >> 1] ?? 0
  })
}

/** For each place along a side, how far inward the piece begins: where three pixels in a row are of it. */
function inward(long: number, deep: number, isPiece: (a: number, b: number) => boolean): [number, number][] {
  const out: [number, number][] = []
  for (let a = 0; a < long; a++)
    for (let b = 0; b < deep / 2; b++)
      if (isPiece(a, b) && isPiece(a, b + 1) && isPiece(a, b + 2)) {
        out.push([a, b])
        break
      }
  return out
}

/** A line: x · nx + y · ny = d; and the share of points it goes through. */
interface Line {
  readonly nx: number
  readonly ny: number
  readonly d: number
  readonly share: number
}

function straight(points: readonly Point[], seed: number): Line | undefined {
  if (points.length < 12) return undefined
  const next = random(seed + 1)
  const pick = () => points[floor(next() * points.length)]!
  const through = (p: Point, q: Point): Line | undefined => {
    const long = hypot(q[0] - p[0], q[1] - p[1])
    if (long < 8) return undefined
    const [nx, ny] = [(p[1] - q[1]) / long, (q[0] - p[0]) / long]
    return { nx, ny, d: p[0] * nx + p[1] * ny, share: 0 }
  }
  const near = (l: Line, p: Point) => abs(p[0] * l.nx + p[1] * l.ny - l.d) <= LINE.nearPx
  let best: Line | undefined
  for (let t = 0; t < LINE.tries; t++) {
    const line = through(pick(), pick())
    if (!line) continue
    const share = points.filter((p) => near(line, p)).length / points.length
    if (!best || share > best.share) best = { ...line, share }
  }
  if (!best || best.share < LINE.least / 2) return undefined
  // Least squares across, through all that are near.
  const mine = points.filter((p) => near(best, p))
  const [mx, my] = [0, 1].map((k) => mine.reduce((s, p) => s + p[k]!, 0) / mine.length) as [number, number]
  let [xx, yy, xy] = [0, 0, 0]
  for (const [x, y] of mine) {
    xx += (x - mx) ** 2
    yy += (y - my) ** 2
    xy += (x - mx) * (y - my)
  }
  const angle = atan2(2 * xy, xx - yy) / 2
  const [nx, ny] = [-sin(angle), cos(angle)]
  return { nx, ny, d: mx * nx + my * ny, share: best.share }
}

function cross(a: Line, b: Line): Point {
  const det = a.nx * b.ny - a.ny * b.nx
  return [(a.d * b.ny - a.ny * b.d) / det, (a.nx * b.d - a.d * b.nx) / det]
}
