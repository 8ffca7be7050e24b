import { cholesky, solveCholesky } from '../linear/cholesky'
import { inverted, mapped, type Matrix3 } from '../surface/homography'
import { lightness, type Face } from './picture'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { abs, floor, max, min, round, sqrt } = Math

/** Lightness of a face, its local mean and contrast taken off: what stays alike wet and dry. */
export interface Texture {
  readonly width: number
  readonly height: number
  readonly l: Float32Array
}

/** Long sides at which two faces are laid over each other, coarse to fine, pixels; and rounds at each. */
const LEVELS = [48, 96, 192] as const
const ROUNDS = 25
/** Lightness is compared to its mean over this share of the long side. Start value of Fika. */
const AROUND = 0.12

/** Normalised lightness of a face at a size. */
export function textureOf(face: Face, longPx: number): Texture {
  const by = max(face.width, face.height) / longPx
  const [width, height] = [max(8, round(face.width / by)), max(8, round(face.height / by))]
  const l = new Float32Array(width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let [r, g, b, n] = [0, 0, 0, 0]
      for (let yy = floor(y * by); yy < min(face.height, (y + 1) * by); yy++)
        for (let xx = floor(x * by); xx < min(face.width, (x + 1) * by); xx++) {
          const i = 3 * (yy * face.width + xx)
          r += face.rgb[i]!
          g += face.rgb[i + 1]!
          b += face.rgb[i + 2]!
          n += 1
        }
      l[y * width + x] = lightness(r / n, g / n, b / n)
    }
  return normalised({ width, height, l }, max(2, round(AROUND * longPx)))
}

/** Mean and spread within a box taken off, by running sums. */
function normalised({ width, height, l }: Texture, reach: number): Texture {
  const sums = (f: (v: number) => number) => {
    const s = new Float64Array((width + 1) * (height + 1))
    for (let y = 0; y < height; y++)
      for (let x = 0, row = 0; x < width; x++) {
        row += f(l[y * width + x]!)
        s[(y + 1) * (width + 1) + x + 1] = s[y * (width + 1) + x + 1]! + row
      }
    return s
  }
  const [one, two] = [sums((v) => v), sums((v) => v * v)]
  const out = new Float32Array(l.length)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [x0, x1] = [max(0, x - reach), min(width, x + reach + 1)]
      const [y0, y1] = [max(0, y - reach), min(height, y + reach + 1)]
      const n = (x1 - x0) * (y1 - y0)
      const box = (s: Float64Array) =>
        (s[y1 * (width + 1) + x1]! -
          s[y0 * (width + 1) + x1]! -
          s[y1 * (width + 1) + x0]! +
          s[y0 * (width + 1) + x0]!) /
        n
      const mean = box(one)
      out[y * width + x] = (l[y * width + x]! - mean) / (4 + sqrt(max(0, box(two) - mean * mean)))
    }
  return { width, height, l: out }
}

/** How one face lies over another. */
export interface Registered {
  /** Takes a place of the first face, both axes 0–1, to its place in the second. */
  readonly map: Matrix3
  /** Correlation of their textures, −1 to 1. */
  readonly likeness: number
}

const SAME: Matrix3 = [1, 0, 0, 0, 1, 0, 0, 0, 1]

const multiplied = (a: Matrix3, b: Matrix3): Matrix3 =>
  Array.from({ length: 9 }, (_, i) => {
    const [r, c] = [floor(i / 3), i % 3]
    return a[3 * r]! * b[c]! + a[3 * r + 1]! * b[3 + c]! + a[3 * r + 2]! * b[6 + c]!
  }) as unknown as Matrix3

/** The inverse of 1 + p, up to its scale. */
const undoing = (p: ArrayLike<number>): Matrix3 =>
  inverted([1 + p[0]!, p[1]!, p[2]!, p[3]!, 1 + p[4]!, p[5]!, p[6]!, p[7]!, 1])

/**
 * Lays two photos of one piece over each other: the homography that fits their normalised lightness, coarse to fine by the
 * inverse compositional algorithm (Baker & Matthews 2004, from memory; homography of Lucas & Kanade's scheme).
 */
export function register(one: Face, two: Face): Registered {
  let map = SAME
  let likeness = 0
  for (const level of LEVELS) {
    const [a, b] = [textureOf(one, level), textureOf(two, level)]
    const steps = steepest(a)
    for (let round = 0; round < ROUNDS; round++) {
      const found = step(a, b, map, steps)
      if (!found) break
      map = multiplied(map, undoing(found))
      map = map.map((v) => v / map[8]) as unknown as Matrix3
      if (max(...found.map(abs)) < 1e-5) break
    }
    likeness = correlation(a, b, map)
  }
  const straight = abs(map[6]) < 0.3 && abs(map[7]) < 0.3
  return straight && likeness > 0 ? { map, likeness } : { map: SAME, likeness: 0 }
}

/** Steepest-descent images of a homography about the identity, 8 a pixel. */
function steepest({ width, height, l }: Texture): Float32Array {
  const out = new Float32Array(8 * width * height)
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x
      const gx = ((l[i + 1]! - l[i - 1]!) / 2) * width
      const gy = ((l[i + width]! - l[i - width]!) / 2) * height
      const [u, v] = [(x + 0.5) / width, (y + 0.5) / height]
      const both = gx * u + gy * v
      out.set([gx * u, gx * v, gx, gy * u, gy * v, gy, -both * u, -both * v], 8 * i)
    }
  return out
}

function at({ width, height, l }: Texture, u: number, v: number): number {
  const [x, y] = [u * width - 0.5, v * height - 0.5]
  const [x0, y0] = [floor(x), floor(y)]
  if (x0 < 0 || y0 < 0 || x0 >= width - 1 || y0 >= height - 1) return NaN
  const [fx, fy] = [x - x0, y - y0]
  const i = y0 * width + x0
  return (1 - fy) * ((1 - fx) * l[i]! + fx * l[i + 1]!) + fy * ((1 - fx) * l[i + width]! + fx * l[i + width + 1]!)
}

/** A difference of textures this large is another thing: it counts half. */
const ROBUST = 0.6

function step(a: Texture, b: Texture, map: Matrix3, steps: Float32Array): Float64Array | undefined {
  const h = new Float64Array(64)
  const g = new Float64Array(8)
  for (let y = 1; y < a.height - 1; y++)
    for (let x = 1; x < a.width - 1; x++) {
      const i = y * a.width + x
      const [u, v] = mapped(map, [(x + 0.5) / a.width, (y + 0.5) / a.height])
      const error = at(b, u, v) - a.l[i]!
      if (Number.isNaN(error)) continue
      const w = 1 / (1 + (error / ROBUST) ** 2)
      for (let p = 0; p < 8; p++) {
        const s = steps[8 * i + p]!
        g[p]! += w * s * error
        for (let q = 0; q <= p; q++) h[8 * p + q]! += w * s * steps[8 * i + q]!
      }
    }
  for (let p = 0; p < 8; p++) h[9 * p]! *= 1 + 1e-6
  const l = cholesky(h, 8)
  return l && solveCholesky(l, 8, g)
}

function correlation(a: Texture, b: Texture, map: Matrix3): number {
  let [n, sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0, 0]
  for (let y = 0; y < a.height; y++)
    for (let x = 0; x < a.width; x++) {
      const other = at(b, ...mapped(map, [(x + 0.5) / a.width, (y + 0.5) / a.height]))
      if (Number.isNaN(other)) continue
      const mine = a.l[y * a.width + x]!
      n += 1
      sa += mine
      sb += other
      saa += mine * mine
      sbb += other * other
      sab += mine * other
    }
  const spread = (s: number, ss: number) => sqrt(max(1e-12, ss - (s * s) / n))
  return n ? (sab - (sa * sb) / n) / (spread(sa, saa) * spread(sb, sbb)) : 0
}
