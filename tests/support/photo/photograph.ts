import { mixToXyz } from '@/core/colour/kubelkaMunk'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { hexToSrgb, toGamma, toLinear, xyzToLinear, type Triple } from '@/core/colour/srgb'
import { random } from '@/core/random'
import { inverted, squareToQuad, type Quad } from '@/core/surface/homography'
import type { Scene } from './scene'

// Taken out of the global once: inner loops run where a look-up of `Math` is not free.
const { ceil, exp, floor, hypot, max, min, sin } = Math

/** How a made-up photo is taken. */
export interface Shot {
  readonly seed: number
  readonly width: number
  readonly height: number
  /** How far corners are from a straight view, as a share of the picture, 0–0.1. */
  readonly slant: number
  /** ln gains of red, green and blue. */
  readonly cast: Triple
  /** How much darker the corners of the picture are, and a side of the room, ln. */
  readonly vignette: number
  readonly slope: number
  /** Blur, σ in pixels; noise, σ in bytes. */
  readonly blurPx: number
  readonly noise: number
  /** How far each colour lies from its bottle's, ln of linear light. */
  readonly offBottle: number
  /** How far a paint's tone drifts over the face, a share of its light. */
  readonly tone: number
  /** Spots of glare, as a share of the face's short side; none where 0. */
  readonly glare: number
}

export interface Photo {
  readonly width: number
  readonly height: number
  readonly data: Uint8ClampedArray
  /** Corners as shares of the picture. */
  readonly quad: Quad
}

/** Nearly normal, σ 1: the sum of three uniform numbers. */
const normal = (next: () => number) => 2 * (next() + next() + next() - 1.5)

/** sRGB in bytes by 4,096 steps of linear light. */
const GAMMA = Float32Array.from({ length: 4097 }, (_, i) => 255 * toGamma(i / 4096))

/** A photo of a made-up pour on a grey table, by a camera that is not quite straight, in light that is not quite even. */
export function photograph(s: Scene, shot: Shot): Photo {
  const next = random(shot.seed)
  for (let i = 0; i < 10; i++) next()
  const { width, height } = shot
  const aspect = s.wish.lengthMm / s.wish.widthMm
  // The face fills most of the picture.
  const fill = 0.86
  const [w, h] =
    aspect > width / height ? [fill * width, (fill * width) / aspect] : [fill * height * aspect, fill * height]
  const [x0, y0] = [(width - w) / 2, (height - h) / 2]
  const jitter = () => (2 * next() - 1) * shot.slant * min(width, height)
  const px: [number, number][] = [
    [x0 + jitter(), y0 + jitter()],
    [x0 + w + jitter(), y0 + jitter()],
    [x0 + w + jitter(), y0 + h + jitter()],
    [x0 + jitter(), y0 + h + jitter()],
  ].map(([x, y]) => [min(width - 2, max(1, x!)), min(height - 2, max(1, y!))])
  const [a, b, c, d, e, f, g, k, l] = inverted(squareToQuad(px as unknown as Quad))
  const colours = [...s.wish.palette.map((hex) => hexToSrgb(hex).map(toLinear) as Triple)]
  const off = (v: number) => v * exp(shot.offBottle * normal(next))
  const real = colours.map((rgb) => rgb.map(off) as Triple)
  const optics = s.wish.palette.map((hex) => opticsFromHex(hex, 'normal'))
  const mixed = optics.flatMap((p, i) =>
    Array.from({ length: 10 }, (_, j) =>
      j > i && optics[j] ? xyzToLinear(mixToXyz([p, optics[j]], [1, 1])) : real[i]!,
    ),
  )
  const colourOf = (label: number): Triple => (label >= 100 ? mixed[label - 100]! : real[label]!)
  // No paint is quite even: its tone drifts over the face.
  const [t1, t2, t3] = [6.28 * next(), 6.28 * next(), 6.28 * next()]
  const tone = (u: number, v: number) =>
    1 + shot.tone * (sin(9 * u + t1) * sin(7 * v + t2) + 0.5 * sin(31 * u + 23 * v + t3))
  const table: Triple = [0.3, 0.28, 0.26]
  const linear = new Float32Array(3 * width * height)
  const glares = Array.from({ length: shot.glare > 0 ? 3 : 0 }, () => [next(), next()] as const)
  const short = min(s.wish.lengthMm, s.wish.widthMm)
  const SUB = 2
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 3) {
      const sum: Triple = [0, 0, 0]
      let glow = 0
      for (let sy = 0; sy < SUB; sy++)
        for (let sx = 0; sx < SUB; sx++) {
          const [X, Y] = [x + (sx + 0.5) / SUB, y + (sy + 0.5) / SUB]
          const z = g * X + k * Y + l
          const [u, v] = [(a * X + b * Y + c) / z, (d * X + e * Y + f) / z]
          const isOn = u >= 0 && v >= 0 && u < 1 && v < 1
          const colour = isOn ? colourOf(s.labels[floor(v * s.height) * s.width + floor(u * s.width)]!) : table
          const even = isOn ? tone(u, v) / SUB ** 2 : 1 / SUB ** 2
          for (let q = 0; q < 3; q++) sum[q]! += colour[q]! * even
          if (isOn)
            for (const [gu, gv] of glares) {
              const dist = hypot((u - gu) * s.wish.lengthMm, (v - gv) * s.wish.widthMm) / (shot.glare * short)
              glow = max(glow, 1.6 * exp(-(dist ** 4)))
            }
        }
      const [nx, ny] = [(2 * x) / width - 1, (2 * y) / height - 1]
      const shade = exp(-shot.vignette * (nx * nx + ny * ny) + shot.slope * (0.8 * nx + 0.6 * ny))
      for (let q = 0; q < 3; q++) linear[i + q] = (sum[q]! * shade + glow) * exp(shot.cast[q]!)
    }
  const soft = shot.blurPx > 0 ? blurred(linear, width, height, shot.blurPx) : linear
  const gamma = GAMMA
  const data = new Uint8ClampedArray(4 * width * height)
  for (let i = 0; i < width * height; i++) {
    for (let q = 0; q < 3; q++)
      data[4 * i + q] = gamma[(4096 * min(1, max(0, soft[3 * i + q]!))) | 0]! + shot.noise * normal(next)
    data[4 * i + 3] = 255
  }
  return { width, height, data, quad: px.map(([x, y]) => [x / width, y / height]) as unknown as Quad }
}

/** Gaussian blur, rows and then columns. */
function blurred(rgb: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const reach = ceil(3 * sigma)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, i) => exp(-((i - reach) ** 2) / (2 * sigma ** 2)))
  const all = kernel.reduce((s, v) => s + v, 0)
  const pass = (from: Float32Array, isRow: boolean) => {
    const to = new Float32Array(from.length)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (let q = 0; q < 3; q++) {
          let sum = 0
          for (let k = -reach; k <= reach; k++) {
            const xx = isRow ? min(width - 1, max(0, x + k)) : x
            const yy = isRow ? y : min(height - 1, max(0, y + k))
            sum += kernel[k + reach]! * from[3 * (yy * width + xx) + q]!
          }
          to[3 * (y * width + x) + q] = sum / all
        }
    return to
  }
  return pass(pass(rgb, true), false)
}
