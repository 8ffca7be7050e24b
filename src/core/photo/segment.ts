import type { Triple } from '../colour/srgb'
import { lightOff, GLARE, type Light } from './light'
import { candidates, type Candidate, type PhotoColour } from './palette'
import { labOf, lightness, type Face } from './picture'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { hypot, max, min, round, sqrt } = Math

/** A face told apart by colour. */
export interface Segmented {
  readonly width: number
  readonly height: number
  readonly mmPerPx: number
  readonly palette: readonly PhotoColour[]
  readonly candidates: readonly Candidate[]
  /** Index of a candidate at each pixel; −1 beside the face or where glare hides it. */
  readonly labels: Int16Array
  /** The face in even light, linear, 3 a pixel. */
  readonly even: Float32Array
  /** Shares of the face that are hidden by glare, and that the camera has overexposed, white paint among them. */
  readonly glare: number
  readonly overexposed: number
}

/** How much farther, in L*a*b*, a colour of the palette may be than a mixture and still be taken. Start value of Fika. */
const FOR_PURE = 6
/** Glare covers its neighbourhood, mm: its rim is washed out. Start value of Fika. */
const GLARE_RIM_MM = 1.2

const FAR = Number.MAX_VALUE

/** Gives each pixel of a face the nearest colour of the palette, or mixture of two or three. */
export function segment(face: Face, light: Light, palette: readonly PhotoColour[]): Segmented {
  const list = candidates(palette)
  const { width, height, rgb, isFace } = face
  const labels = new Int16Array(width * height).fill(-1)
  const even = new Float32Array(rgb.length)
  const off = lightOff(light, face)
  const nearest = nearestByTable(list, palette.length)
  // A white that the camera overexposed is no glare: that is lighter than anything that was poured.
  const lightest = OVER_LIGHTEST + max(...palette.map((c) => c.lab[0]))
  let [inside, hidden, over] = [0, 0, 0]
  const isGlare = new Uint8Array(width * height)
  // The light changes slowly: it is worked out for tiles of eight.
  for (let ty = 0; ty < height; ty += TILE)
    for (let tx = 0; tx < width; tx += TILE) {
      const [r, g, b] = off(tx + TILE / 2, ty + TILE / 2)
      for (let y = ty; y < min(height, ty + TILE); y++)
        for (let x = tx; x < min(width, tx + TILE); x++) {
          const i = y * width + x
          if (!isFace[i]) continue
          inside += 1
          const k = 3 * i
          even[k] = rgb[k]! * r
          even[k + 1] = rgb[k + 1]! * g
          even[k + 2] = rgb[k + 2]! * b
          if (rgb[k]! > GLARE && rgb[k + 1]! > GLARE && rgb[k + 2]! > GLARE) {
            over += 1
            if (lightness(even[k]!, even[k + 1]!, even[k + 2]!) > lightest) isGlare[i] = 1
          }
          labels[i] = nearest(even[k]!, even[k + 1]!, even[k + 2]!)
        }
    }
  const rim = round(GLARE_RIM_MM / face.mmPerPx)
  for (let i = 0; i < isGlare.length; i++) {
    if (!isGlare[i]) continue
    const [x, y] = [i % width, (i / width) | 0]
    for (let yy = max(0, y - rim); yy <= min(height - 1, y + rim); yy++)
      for (let xx = max(0, x - rim); xx <= min(width - 1, x + rim); xx++) {
        const j = yy * width + xx
        if (labels[j]! >= 0) {
          labels[j] = -1
          hidden += 1
        }
      }
  }
  const told: Segmented = {
    width,
    height,
    mmPerPx: face.mmPerPx,
    palette,
    candidates: list,
    labels,
    even,
    glare: inside ? hidden / inside : 1,
    overexposed: inside ? over / inside : 1,
  }
  withoutBlends(told)
  return told
}

const TILE = 8
/** Glare is so much lighter than the lightest paint, L*. Start value of Fika. */
const OVER_LIGHTEST = 4

/** Nearest candidate by a table of 64 steps of gamma a channel, filled as it is asked. */
function nearestByTable(list: readonly Candidate[], pure: number): (r: number, g: number, b: number) => number {
  const table = new Int16Array(64 ** 3).fill(-1)
  const step = (v: number) => min(63, max(0, round(63 * sqrt(v < 0 ? 0 : v))))
  const back = (s: number) => (s / 63) ** 2
  return (r, g, b) => {
    const [sr, sg, sb] = [step(r), step(g), step(b)]
    const at = (sr << 12) | (sg << 6) | sb
    const known = table[at]!
    if (known >= 0) return known
    const lab = labOf(back(sr), back(sg), back(sb))
    let [best, least] = [0, FAR]
    for (let k = 0; k < list.length; k++) {
      const d = distance(lab, list[k]!.lab) + (k < pure ? 0 : FOR_PURE)
      if (d < least) [best, least] = [k, d]
    }
    table[at] = best
    return best
  }
}

/** Distance in L*a*b* with chroma counted less where it is strong, as eyes do. */
function distance(a: Triple, b: Triple): number {
  const c = 1 + 0.02 * (hypot(a[1], a[2]) + hypot(b[1], b[2]))
  return hypot(a[0] - b[0], (1.6 * (a[1] - b[1])) / c, (1.6 * (a[2] - b[2])) / c)
}

/** So far on either side two colours are looked for whose blend a pixel may be, pixels. */
const REACH = [2, 3]
/** How far off the line between two colours a blend may lie, linear light. Start value of Fika. */
const OFF_LINE = 0.045

/**
 * A thin strip between two colours that looks like a third, or like a mixture, is only their blend: its pixels go to
 * the nearer of the two.
 */
function withoutBlends({ width, height, labels, even, palette, candidates: list }: Segmented): void {
  const pure = palette.length
  const old = labels.slice()
  const ways = [1, width, width + 1, width - 1]
  for (let y = REACH[1]!; y < height - REACH[1]!; y++)
    for (let x = REACH[1]!; x < width - REACH[1]!; x++) {
      const i = y * width + x
      const c = old[i]!
      if (c < 0) continue
      if (c < pure && old[i - 1] === c && old[i + 1] === c && old[i - width] === c && old[i + width] === c) continue
      let [to, best] = [-1, OFF_LINE]
      for (const way of ways)
        for (const reach of REACH) {
          const [a, b] = [old[i - reach * way]!, old[i + reach * way]!]
          if (a === b || a < 0 || b < 0 || a >= pure || b >= pure || a === c || b === c) continue
          const [t, off] = between(even, i, palette[a]!.linear, palette[b]!.linear)
          if (t < -0.1 || t > 1.1 || off > best) continue
          best = off
          to = t < 0.5 ? a : b
        }
      if (to >= 0) labels[i] = to
    }
  // What is left of mixtures in slivers goes to the nearest colour of the palette around.
  const again = labels.slice()
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x
      const c = again[i]!
      if (c < pure) continue
      let same = 0
      const votes = new Map<number, number>()
      for (const d of [-width - 1, -width, -width + 1, -1, 1, width - 1, width, width + 1]) {
        const l = again[i + d]!
        if (l === c) same += 1
        else if (l >= 0 && l < pure) votes.set(l, (votes.get(l) ?? 0) + 1)
      }
      if (same >= 6 || votes.size === 0) continue
      const lab = labOf(even[3 * i]!, even[3 * i + 1]!, even[3 * i + 2]!)
      labels[i] = [...votes.keys()].reduce((a, b) =>
        distance(lab, list[a]!.lab) <= distance(lab, list[b]!.lab) ? a : b,
      )
    }
}

/** Where a pixel lies on the way from one colour to another (0–1), and how far off it, in linear light. */
function between(even: Float32Array, i: number, a: Triple, b: Triple): [number, number] {
  const [dx, dy, dz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]]
  const [px, py, pz] = [even[3 * i]! - a[0], even[3 * i + 1]! - a[1], even[3 * i + 2]! - a[2]]
  const long = dx * dx + dy * dy + dz * dz
  if (long < 1e-9) return [0, FAR]
  const t = (px * dx + py * dy + pz * dz) / long
  return [t, hypot(px - t * dx, py - t * dy, pz - t * dz)]
}

/** The colour of the palette a candidate is mostly of. */
export const mainColour = (c: Candidate): number => c.of.reduce((a, b) => (b[1] > a[1] ? b : a))[0]

/** Share of the face that each colour of the palette takes, mixtures counted by their parts; glare left out. */
export function sharesOf({ labels, candidates: list, palette }: Segmented): number[] {
  const counts = new Float64Array(list.length)
  let all = 0
  for (let i = 0; i < labels.length; i++) {
    const l = labels[i]!
    if (l < 0) continue
    counts[l] = counts[l]! + 1
    all += 1
  }
  const shares = palette.map(() => 0)
  list.forEach((c, k) => c.of.forEach(([i, s]) => (shares[i]! += (s * counts[k]!) / max(1, all))))
  return shares
}
