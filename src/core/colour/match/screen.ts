import { layerByK, ratioOf } from '../kubelkaMunk'
import { BANDS, W_X, W_Y, W_Z } from '../observer'
import { reflectanceToXyz, type Reflectance } from '../reflectance'
import type { Triple } from '../srgb'
import { metricByXyz, type Palette } from './palette'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { min, max, abs, sqrt, hypot } = Math

/**
 * Where each paint pulls from the target. A mix has the target's colour where Σ c (K − q S) vanishes, q being the
 * target's K/S; to first order its distance is ‖Σ c v‖ / Σ c s in ΔE00 units. `points` holds v/s of each paint: a
 * set of paints can reach the target where the origin lies in their hull.
 */
export interface Pulls {
  /** 3 numbers a paint. */
  readonly points: Float64Array
  /** How much each paint weighs in a mix of this colour: the s above. */
  readonly weights: Float64Array
}

/**
 * Pulls of all paints seen from a colour.
 * @param base where to linearise, 36 bands
 * @param aim the colour wanted where it is another, in ΔE00 units from `base`
 */
export function pullsAt(base: Reflectance, palette: Palette, aim: Triple = [0, 0, 0]): Pulls {
  const byXyz = metricByXyz(reflectanceToXyz(base))
  // ∂R/∂q of a layer at the target, by band, carried to the three axes of the metric.
  const axes = [0, 1, 2].map(() => new Float64Array(BANDS))
  const weight = new Float64Array(BANDS)
  const ratios = Float64Array.from(base, (r) => ratioOf(r))
  for (let i = 0; i < BANDS; i++) {
    const q = ratios[i]!
    const slope = layerByK(q, 1)
    for (let c = 0; c < 3; c++)
      axes[c]![i] = slope * (byXyz[c]![0] * W_X[i]! + byXyz[c]![1] * W_Y[i]! + byXyz[c]![2] * W_Z[i]!)
    weight[i] = hypot(axes[0]![i]!, axes[1]![i]!, axes[2]![i]!) * q
  }
  const total = weight.reduce((a, b) => a + b, 0) || 1
  const points = new Float64Array(3 * palette.count)
  const weights = new Float64Array(palette.count)
  for (let p = 0; p < palette.count; p++) {
    let s = 0
    const v = [0, 0, 0]
    for (let i = 0; i < BANDS; i++) {
      const at = p * BANDS + i
      const off = palette.k[at]! - ratios[i]! * palette.s[at]!
      for (let c = 0; c < 3; c++) v[c]! += axes[c]![i]! * off
      // A paint that absorbs more than the target counts by its absorption: what it brings sets the amount.
      s += (weight[i]! / total) * max(palette.s[at]!, palette.k[at]! / max(1e-6, ratios[i]!))
    }
    weights[p] = s
    for (let c = 0; c < 3; c++) points[3 * p + c] = v[c]! / s - aim[c]!
  }
  return { points, weights }
}

/** Dot products of all pairs of points, and the squared distance of the origin to each segment between two. */
interface Geometry {
  readonly count: number
  readonly dot: Float64Array
  readonly edge: Float64Array
}

function geometryOf({ points }: Pulls, count: number): Geometry {
  const dot = new Float64Array(count * count)
  const edge = new Float64Array(count * count)
  for (let a = 0; a < count; a++)
    for (let b = 0; b < count; b++)
      dot[a * count + b] =
        points[3 * a]! * points[3 * b]! +
        points[3 * a + 1]! * points[3 * b + 1]! +
        points[3 * a + 2]! * points[3 * b + 2]!
  for (let a = 0; a < count; a++)
    for (let b = 0; b < count; b++) {
      const [aa, ab, bb] = [dot[a * count + a]!, dot[a * count + b]!, dot[b * count + b]!]
      const t = along(aa, ab, bb)
      edge[a * count + b] = max(0, aa + t * (2 * (ab - aa) + t * (aa - 2 * ab + bb)))
    }
  return { count, dot, edge }
}

/** Where on the segment a–b the origin is nearest, 0 at a, from their dot products. */
function along(aa: number, ab: number, bb: number): number {
  const length = aa - 2 * ab + bb
  return length > 0 ? min(1, max(0, (aa - ab) / length)) : 0
}

/** Shares of a, b and c at the point of the triangle nearest to the origin; returns the squared distance there. */
function triangle({ count: n, dot, edge }: Geometry, a: number, b: number, c: number, at: Float64Array): number {
  const [aa, ab, ac] = [dot[a * n + a]!, dot[a * n + b]!, dot[a * n + c]!]
  const uu = aa - 2 * ab + dot[b * n + b]!
  const vv = aa - 2 * ac + dot[c * n + c]!
  const uv = dot[b * n + c]! - ab - ac + aa
  const det = uu * vv - uv * uv
  const s = ((aa - ab) * vv - (aa - ac) * uv) / det
  const t = ((aa - ac) * uu - (aa - ab) * uv) / det
  if (det > 1e-12 && s >= 0 && t >= 0 && s + t <= 1) {
    at[0] = 1 - s - t
    at[1] = s
    at[2] = t
    return max(0, aa - s * (aa - ab) - t * (aa - ac))
  }
  const [dab, dac, dbc] = [edge[a * n + b]!, edge[a * n + c]!, edge[b * n + c]!]
  at.fill(0, 0, 3)
  const [i, j, x, y] = dab <= dac && dab <= dbc ? [0, 1, a, b] : dac <= dbc ? [0, 2, a, c] : [1, 2, b, c]
  const where = along(dot[x * n + x]!, dot[x * n + y]!, dot[y * n + y]!)
  at[i] = 1 - where
  at[j] = where
  return min(dab, dac, dbc)
}

const face = new Float64Array(3)

/** Squared distance from the origin to the tetrahedron of `set`; `at` gets the shares. */
function tetrahedron(points: Float64Array, geometry: Geometry, set: readonly number[], at: Float64Array): number {
  const [a, b, c, d] = set as unknown as [number, number, number, number]
  if (barycentric(points, a, b, c, d, at)) return 0
  let best = Infinity
  for (let out = 0; out < 4; out++) {
    const kept = FACES[out]!
    const distance = triangle(geometry, set[kept[0]]!, set[kept[1]]!, set[kept[2]]!, face)
    if (distance >= best) continue
    best = distance
    at.fill(0)
    for (let k = 0; k < 3; k++) at[kept[k]!] = face[k]!
  }
  return best
}
const FACES = [
  [1, 2, 3],
  [0, 2, 3],
  [0, 1, 3],
  [0, 1, 2],
] as const

/** Six times the signed volume of the origin and three points. */
function volume(p: Float64Array, i: number, j: number, k: number): number {
  const [x, y, z] = [3 * i, 3 * j, 3 * k]
  return (
    p[x]! * (p[y + 1]! * p[z + 2]! - p[y + 2]! * p[z + 1]!) -
    p[x + 1]! * (p[y]! * p[z + 2]! - p[y + 2]! * p[z]!) +
    p[x + 2]! * (p[y]! * p[z + 1]! - p[y + 1]! * p[z]!)
  )
}

/** Whether the origin lies in a tetrahedron; `at` gets its barycentric coordinates. */
function barycentric(p: Float64Array, a: number, b: number, c: number, d: number, at: Float64Array): boolean {
  at[0] = volume(p, b, c, d)
  at[1] = -volume(p, a, c, d)
  at[2] = volume(p, a, b, d)
  at[3] = -volume(p, a, b, c)
  const sum = at[0]! + at[1]! + at[2]! + at[3]!
  if (abs(sum) < 1e-9) return false
  for (let i = 0; i < 4; i++) at[i]! /= sum
  return at[0]! >= 0 && at[1]! >= 0 && at[2]! >= 0 && at[3]! >= 0
}

/** A set of paints that may reach the target, with amounts to start from. */
export interface Start {
  readonly set: readonly number[]
  /** Amounts by volume that sum to 1. */
  readonly amounts: readonly number[]
  /** Distance expected, in ΔE00 units, to first order. */
  readonly distance: number
}

/** Keeps the best few by distance. */
class Best {
  private list: Start[] = []
  private worst = Infinity
  constructor(private readonly most: number) {}
  /** Whether a squared distance is worth keeping. */
  takes = (squared: number) => squared < this.worst
  add(start: Start): void {
    this.list.push(start)
    if (this.list.length >= 2 * this.most) this.cut()
  }
  private cut(): void {
    this.list.sort((a, b) => a.distance - b.distance)
    this.list.length = min(this.list.length, this.most)
    if (this.list.length === this.most) this.worst = this.list.at(-1)!.distance ** 2
  }
  all(): Start[] {
    this.cut()
    return this.list
  }
}

/** Shares of v/s become amounts by volume when divided by s; nothing of a set is left at nothing. */
function startOf(set: readonly number[], shares: Float64Array, weights: Float64Array, distance2: number): Start {
  const raw = set.map((p, j) => max(shares[j]!, 0.01) / weights[p]!)
  const sum = raw.reduce((a, b) => a + b, 0)
  return { set, amounts: raw.map((v) => v / sum), distance: sqrt(distance2) }
}

export interface Screening {
  /** How many paints a set has. */
  readonly size: SetSize
  /** Paints that have to be in it, by index; at most `size`. */
  readonly musts: readonly number[]
  /** How many sets to keep. */
  readonly keep: number
}

/** How many paints a set may have. */
export type SetSize = 1 | 2 | 3 | 4

/**
 * The sets of one size most likely to reach the target, each of which holds the musts. Up to three paints: all sets.
 * Four: all where two or more are given; else the best `keep` sets of three, each with every fourth. Yields after each
 * slice of work, with the share done.
 */
export function* screen(pulls: Pulls, count: number, { size, musts, keep }: Screening): Generator<number, Start[]> {
  if (count < size) return []
  const { points, weights } = pulls
  const geometry = geometryOf(pulls, count)
  const { dot, edge } = geometry
  const at = new Float64Array(4)
  const best = new Best(size === 3 ? 2 * keep : keep)

  function* upToThree(size: 1 | 2 | 3, musts: readonly number[], best: Best): Generator<number, void> {
    let n = 0
    for (const set of setsHolding(musts, size, count)) {
      const [a, b, c] = set as [number, number, number]
      if (size === 1) {
        at[0] = 1
        best.add(startOf([a], at, weights, dot[a * count + a]!))
      } else if (size === 2) {
        at[1] = along(dot[a * count + a]!, dot[a * count + b]!, dot[b * count + b]!)
        at[0] = 1 - at[1]
        if (best.takes(edge[a * count + b]!)) best.add(startOf([a, b], at, weights, edge[a * count + b]!))
      } else {
        const d3 = triangle(geometry, a, b, c, at)
        if (best.takes(d3)) best.add(startOf([a, b, c], at, weights, d3))
      }
      if (++n % SLICE === 0) yield Math.min(1, n / setCount(count - musts.length, size - musts.length))
    }
  }

  /** Four of them: those with the target inside before those near it. */
  function four(set: readonly number[]): void {
    const distance = tetrahedron(points, geometry, set, at)
    // Many sets hold the target inside: those with no paint at next to nothing come first.
    const thin = distance === 0 ? max(0, 0.08 - min(at[0]!, at[1]!, at[2]!, at[3]!)) : 0
    const d4 = distance + thin * thin
    if (best.takes(d4)) best.add(startOf(set, at, weights, d4))
  }

  if (size < 4) yield* upToThree(size as 1 | 2 | 3, musts, best)
  else if (musts.length > 1) {
    let n = 0
    for (const set of setsHolding(musts, 4, count)) {
      four([...set])
      if (++n % SLICE === 0) yield Math.min(1, n / setCount(count - musts.length, 4 - musts.length))
    }
  } else {
    // Grown from sets of three: those that hold the must, with every fourth, and the best of all, with the must.
    const seeds = new Best(keep)
    yield* upToThree(3, musts, seeds)
    const others = new Best(keep)
    if (musts.length) yield* upToThree(3, [], others)
    const seen = new Set<string>()
    const grown = (set: readonly number[], d: number) => {
      if (set.includes(d)) return
      const wider = [...set, d].sort((x, y) => x - y)
      const key = wider.join()
      if (seen.has(key)) return
      seen.add(key)
      four(wider)
    }
    for (const [n, { set }] of seeds.all().entries()) {
      for (let d = 0; d < count; d++) grown(set, d)
      if (n % 16 === 15) yield 1
    }
    for (const { set } of others.all()) grown(set, musts[0]!)
  }
  return best.all()
}

/** Sets looked at between two chances to stop. */
const SLICE = 2_000

/** How many sets of `size` there are of `count`. */
function setCount(count: number, size: number): number {
  let n = 1
  for (let i = 0; i < size; i++) n = (n * (count - i)) / (i + 1)
  return Math.max(1, n)
}

/**
 * Every set of one size that holds the musts, by index, ascending. The same array each time: copy what is kept.
 * @param count how many there are to choose from
 */
export function* setsHolding(musts: readonly number[], size: number, count: number): Generator<readonly number[]> {
  const free: number[] = []
  for (let i = 0; i < count; i++) if (!musts.includes(i)) free.push(i)
  const more = size - musts.length
  if (more < 0 || more > free.length) return
  const chosen = Array.from({ length: more }, (_, i) => i)
  const set = new Array<number>(size)
  for (;;) {
    for (let i = 0; i < more; i++) set[i] = free[chosen[i]!]!
    for (let i = 0; i < musts.length; i++) set[more + i] = musts[i]!
    if (musts.length) set.sort((a, b) => a - b)
    yield set
    // Counts up like the figures of a number.
    let at = more - 1
    while (at >= 0 && chosen[at] === free.length - more + at) at -= 1
    if (at < 0) return
    chosen[at]! += 1
    for (let i = at + 1; i < more; i++) chosen[i] = chosen[i - 1]! + 1
  }
}
