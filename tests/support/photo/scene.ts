import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { mixToLab } from '@/core/colour/mixColour'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { random } from '@/core/random'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { PI, atan2, cos, floor, hypot, max, min, round, sin, sqrt } = Math

/** What is asked of a made-up pour. Lengths in mm. */
export interface SceneWish {
  readonly seed: number
  readonly lengthMm: number
  readonly widthMm: number
  /** Colours as they lie there dry, `#rrggbb`; the first is the ground. */
  readonly palette: readonly string[]
  /** Width of the marbled bands; none where undefined. */
  readonly bandMm?: number
  readonly cells?: {
    readonly everyMm: number
    readonly fromMm: number
    readonly toMm: number
    readonly withHalo: boolean
  }
  readonly lacing?: { readonly everyMm: number; readonly widthMm: number; readonly colour: number }
  /** Width of the strip in which neighbouring bands have run into each other; none where undefined. */
  readonly softMm?: number
  /** Blobs where two colours have mixed. */
  readonly mud?: readonly (readonly [number, number])[]
  readonly pxPerMm?: number
}

export interface TrueCell {
  readonly at: readonly [number, number]
  readonly diameterMm: number
  readonly colour: number
}

/** A pour as it really is. */
export interface Scene {
  readonly wish: SceneWish
  readonly width: number
  readonly height: number
  readonly pxPerMm: number
  /** Palette index at each pixel; 100 + 10 a + b where colours a and b have mixed by halves. */
  readonly labels: Uint8Array
  /** True shares of the face by palette index: mixed places by halves, but where the mix looks like one of the two. */
  readonly shares: readonly number[]
  readonly cells: readonly TrueCell[]
  readonly lacing: { readonly lengthMm: number; readonly widthMm: number }
}

/** Places no nearer to each other than `every`, thrown at random (Poisson disc by darts). */
function darts(next: () => number, every: number, w: number, h: number, tries: number): [number, number][] {
  const out: [number, number][] = []
  for (let i = 0; i < tries; i++) {
    const p: [number, number] = [next() * w, next() * h]
    if (out.every((q) => hypot(p[0] - q[0], p[1] - q[1]) >= every)) out.push(p)
  }
  return out
}

/** A smooth field of −1 to 1: a few waves in random directions. */
function waves(next: () => number, lengthMm: number): (x: number, y: number) => number {
  const list = Array.from({ length: 5 }, (_, k) => {
    const [angle, phase, long] = [next() * PI * 2, next() * PI * 2, lengthMm * (0.6 + next() + 0.2 * k)]
    return { kx: (2 * PI * cos(angle)) / long, ky: (2 * PI * sin(angle)) / long, phase }
  })
  return (x, y) => list.reduce((s, { kx, ky, phase }) => s + sin(kx * x + ky * y + phase), 0) / list.length
}

/** A made-up pour with everything about it known: marbled bands, cells with halos, lacing along Voronoi edges, mud. */
export function scene(wish: SceneWish): Scene {
  const next = random(wish.seed)
  for (let i = 0; i < 10; i++) next()
  const pxPerMm = wish.pxPerMm ?? 6
  const { lengthMm, widthMm, palette } = wish
  const [width, height] = [round(lengthMm * pxPerMm), round(widthMm * pxPerMm)]
  const labels = new Uint8Array(width * height)
  const colours = palette.length
  const warp = waves(next, 90)
  const turn = next() * PI
  const band = wish.bandMm
  // Bands of changing width, and the ground of one colour where there are none.
  const order = Array.from({ length: 40 }, () => floor(next() * colours))
  order.forEach((c, i) => {
    if (i > 0 && c === order[i - 1]) order[i] = (c + 1) % colours
  })
  const bounds: number[] = []
  for (let at = 0, k = 0; band !== undefined && k < 40; k++) bounds.push((at += band * (0.6 + 0.8 * next())))
  const lace = wish.lacing
  const sites = lace ? darts(next, lace.everyMm, lengthMm, widthMm, 1500) : []
  // Lacing lies over one half of the face.
  const isLaced = (x: number) => lace !== undefined && x < 0.55 * lengthMm
  let hair = 0
  let laced = 0
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const [mx, my] = [(x + 0.5) / pxPerMm, (y + 0.5) / pxPerMm]
      let c = 0
      if (band !== undefined) {
        const along = mx * cos(turn) + my * sin(turn) + 22 * warp(mx, my)
        const total = bounds.at(-1)!
        const at = ((along % total) + total) % total
        const k = bounds.findIndex((b) => at < b)
        c = order[k]!
        const next = order[(k + 1) % 40]!
        if (wish.softMm && bounds[k]! - at < wish.softMm && next !== c) c = 100 + 10 * min(c, next) + max(c, next)
      }
      if (c < 100 && isLaced(mx)) {
        const line = toEdge(sites, mx, my)
        if (lace!.colour !== c) {
          if (line < lace!.widthMm / 2) {
            c = lace!.colour
            laced += 1
          }
          if (line < 0.15) hair += 1
        }
      }
      labels[i] = c
    }
  const cells: TrueCell[] = []
  if (wish.cells) {
    const { everyMm, fromMm, toMm, withHalo } = wish.cells
    for (const [x, y] of darts(next, everyMm, lengthMm, widthMm, 900)) {
      const r = (fromMm + (toMm - fromMm) * next() ** 2) / 2
      const reach = r * 1.12 + (withHalo ? 1.2 : 0)
      if (isLaced(x - reach)) continue
      if (x < reach + 2 || y < reach + 2 || x > lengthMm - reach - 2 || y > widthMm - reach - 2) continue
      const around = labels[floor(y * pxPerMm) * width + floor(x * pxPerMm)]!
      if (around >= 100) continue
      const colour = (around + 1 + floor(next() * (colours - 1))) % colours
      const halo = (colour + 1 + floor(next() * (colours - 1))) % colours
      const [wobble, phase, lobes] = [0.03 + 0.06 * next(), next() * 6.28, 2 + floor(next() * 3)]
      let area = 0
      let isSeen = true
      const mine: number[] = []
      for (let py = floor((y - reach) * pxPerMm); py <= (y + reach) * pxPerMm; py++)
        for (let px = floor((x - reach) * pxPerMm); px <= (x + reach) * pxPerMm; px++) {
          const [dx, dy] = [(px + 0.5) / pxPerMm - x, (py + 0.5) / pxPerMm - y]
          const d = hypot(dx, dy)
          const rim = r * (1 + wobble * sin(lobes * atan2(dy, dx) + phase))
          const at = py * width + px
          if (d < rim) {
            mine.push(at)
            area += 1
          } else if (withHalo && d < rim + 0.9) {
            if (labels[at] === colour && halo === colour) isSeen = false
            labels[at] = halo
          } else if (!withHalo && d < rim + 0.4 && labels[at] === colour) isSeen = false
        }
      for (const at of mine) labels[at] = colour
      // A cell that runs into paint of its own colour is none that anybody could see.
      if (isSeen) cells.push({ at: [x, y], diameterMm: (2 * sqrt(area / PI)) / pxPerMm, colour })
    }
  }
  wish.mud?.forEach(([a, b]) => {
    const [x, y, r] = [lengthMm * (0.2 + 0.6 * next()), widthMm * (0.2 + 0.6 * next()), 7 + 6 * next()]
    for (let py = max(0, floor((y - r) * pxPerMm)); py < min(height, (y + r) * pxPerMm); py++)
      for (let px = max(0, floor((x - r) * pxPerMm)); px < min(width, (x + r) * pxPerMm); px++)
        if (hypot((px + 0.5) / pxPerMm - x, (py + 0.5) / pxPerMm - y) < r) labels[py * width + px] = 100 + 10 * a + b
  })
  const shares = palette.map(() => 0)
  for (const l of labels) {
    if (l < 100) shares[l]! += 1 / labels.length
    else for (const c of seenIn(palette, floor((l - 100) / 10), l % 10)) shares[c.colour]! += c.share / labels.length
  }
  const lineMm = hair / pxPerMm ** 2 / 0.3
  return {
    wish,
    width,
    height,
    pxPerMm,
    labels,
    shares,
    cells: cells.filter((c) => labels[floor(c.at[1] * pxPerMm) * width + floor(c.at[0] * pxPerMm)] === c.colour),
    lacing: { lengthMm: lineMm, widthMm: lineMm > 0 ? laced / pxPerMm ** 2 / lineMm : 0 },
  }
}

/** A mix this near to one of its colours looks like that to everybody, ΔE00. */
const LOOKS_LIKE = 7

const seen = new Map<string, { colour: number; share: number }[]>()

/** What eyes see in a mix of two by halves: both, or only the stronger where the other does not show. */
function seenIn(palette: readonly string[], a: number, b: number): { colour: number; share: number }[] {
  const key = `${palette.join()} ${a} ${b}`
  const known = seen.get(key)
  if (known) return known
  const of = [palette[a]!, palette[b]!].map((hex) => opticsFromHex(hex, 'normal'))
  const mix = mixToLab(of, [1, 1])
  const like = [a, b].map((c) => deltaE00(mix, hexToLab(palette[c]!)) < LOOKS_LIKE)
  const shares = like[0] === like[1] ? [0.5, 0.5] : like.map((is) => (is ? 1 : 0))
  const found = [a, b].map((colour, i) => ({ colour, share: shares[i]! }))
  seen.set(key, found)
  return found
}

/** Distance to the nearest Voronoi edge of some sites. */
function toEdge(sites: readonly (readonly [number, number])[], x: number, y: number): number {
  let [a, b, da, db] = [-1, -1, Infinity, Infinity]
  for (let k = 0; k < sites.length; k++) {
    const d = (sites[k]![0] - x) ** 2 + (sites[k]![1] - y) ** 2
    if (d < da) {
      ;[b, db] = [a, da]
      ;[a, da] = [k, d]
    } else if (d < db) [b, db] = [k, d]
  }
  if (b < 0) return Infinity
  return (db - da) / (2 * hypot(sites[a]![0] - sites[b]![0], sites[a]![1] - sites[b]![1]))
}
