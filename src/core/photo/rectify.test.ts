import { Matrix, solve } from 'ml-matrix'
import type { Quad } from '../surface/homography'
import { squareToQuad, WHOLE } from '../surface/homography'
import { mustBeFace, rectify } from './rectify'
import type { Picture } from './picture'

const quad: Quad = [
  [0.1, 0.15],
  [0.85, 0.1],
  [0.92, 0.88],
  [0.06, 0.8],
]

/** Four pairs of points to a homography by the linear system of eight (a general library solves it). */
function byLibrary(q: Quad): number[] {
  const rows: number[][] = []
  const right: number[][] = []
  WHOLE.forEach(([u, v], i) => {
    const [x, y] = q[i]!
    rows.push([u, v, 1, 0, 0, 0, -u * x, -v * x], [0, 0, 0, u, v, 1, -u * y, -v * y])
    right.push([x], [y])
  })
  return [...solve(new Matrix(rows), new Matrix(right)).to1DArray(), 1]
}

/** A picture painted by a function of the place on a face that lies in it at `q`; grey beside it. */
function painted(q: Quad, width: number, height: number, at: (u: number, v: number) => number): Picture {
  const [a, b, c, d, e, f, g, h] = byLibrary(q) as [number, number, number, number, number, number, number, number]
  const data = new Uint8ClampedArray(4 * width * height).fill(120)
  // Inverse by solving for each pixel: u (a − g x) + v (b − h x) = x − c, and the same for y.
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height]
    const [p, r, s, t] = [a - g * x, b - h * x, d - g * y, e - h * y]
    const det = p * t - r * s
    const [u, v] = [((x - c) * t - r * (y - f)) / det, (p * (y - f) - s * (x - c)) / det]
    if (u >= 0 && v >= 0 && u <= 1 && v <= 1) data.fill(at(u, v), 4 * i, 4 * i + 3)
  }
  return { width, height, data }
}

describe('a face laid flat', () => {
  it('by the same map as a general library finds', () => {
    const ours = squareToQuad(quad)
    byLibrary(quad).forEach((v, i) => expect(ours[i]! / ours[8]).toBeCloseTo(v, 9))
  })
  it('shows what lies on it in its place, in its own proportions', () => {
    // A checkerboard of 4 × 3 fields, 30 mm each.
    const board = painted(quad, 640, 480, (u, v) => ((Math.floor(4 * u) + Math.floor(3 * v)) % 2 ? 250 : 5))
    const face = rectify(board, quad, { shape: 'rectangle', lengthMm: 120, widthMm: 90 }, 240)
    expect([face.width, face.height, face.mmPerPx]).toEqual([240, 180, 0.5])
    let wrong = 0
    for (let y = 0; y < 180; y++)
      for (let x = 0; x < 240; x++) {
        // Within a pixel of an edge a mean of both is right too.
        if (x % 60 < 2 || x % 60 > 57 || y % 60 < 2 || y % 60 > 57) continue
        const isLight = (Math.floor(x / 60) + Math.floor(y / 60)) % 2 === 1
        if (face.rgb[3 * (y * 240 + x)]! > 0.5 !== isLight) wrong += 1
      }
    expect(wrong).toBe(0)
  })
  it('means light, not bytes: fine stripes of black and white come to half the light', () => {
    const data = new Uint8ClampedArray(4 * 900 * 900)
    for (let i = 0; i < 900 * 900; i++) data.fill(i % 2 ? 255 : 0, 4 * i, 4 * i + 4)
    const face = rectify({ width: 900, height: 900, data }, WHOLE, { shape: 'round', diameterMm: 90 }, 300)
    const mean = face.rgb.reduce((a, b) => a + b) / face.rgb.length
    expect(mean).toBeCloseTo(0.5, 1)
    // A disc of 90 mm without its rim of 1 mm: π · 44² mm² of 0.3 mm pixels.
    const inside = face.isFace.reduce((a, b) => a + b)
    expect(inside / ((Math.PI * 44 ** 2) / 0.09)).toBeCloseTo(1, 1)
  })
  it('refuses corners that make no face', () => {
    const picture = { width: 1000, height: 800 }
    const [a, b, c, d] = quad
    for (const bad of [
      [b, a, c, d],
      [a, c, b, d],
      [d, c, b, a],
      [a, b, [0.3, 0.3], d],
    ] as unknown as Quad[])
      expect(() => mustBeFace(bad, picture)).toThrow('These corners make no face')
    expect(() =>
      mustBeFace(
        [
          [0.5, 0.5],
          [0.58, 0.5],
          [0.58, 0.58],
          [0.5, 0.58],
        ],
        picture,
      ),
    ).toThrow('too small')
    expect(() => mustBeFace([[NaN, 0], b, c, d] as unknown as Quad, picture)).toThrow('must be a number')
    expect(() => mustBeFace(quad, picture)).not.toThrow()
  })
})
