import { flattening, inverted, mapped, squareToQuad, type Quad } from './homography'

const quad: Quad = [
  [10, 20],
  [210, 40],
  [190, 160],
  [30, 150],
]
const corners = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const

describe('a photo laid flat by its four corners', () => {
  it('takes the square to the quadrilateral and back', () => {
    const there = squareToQuad(quad)
    const back = inverted(there)
    corners.forEach((c, i) => {
      for (const k of [0, 1] as const) {
        expect(mapped(there, c)[k]).toBeCloseTo(quad[i]![k], 9)
        expect(mapped(back, quad[i]!)[k]).toBeCloseTo(c[k], 9)
      }
    })
  })
  it('keeps lines straight: where the diagonals cross is the middle', () => {
    // Crossing of 10,20–190,160 and 210,40–30,150, by the two line equations.
    const s = (200 * 110 + 20 * 180) / (180 * 110 + 140 * 180)
    const cross = [10 + 180 * s, 20 + 140 * s] as const
    const [x, y] = mapped(inverted(squareToQuad(quad)), cross)
    expect(x).toBeCloseTo(0.5, 9)
    expect(y).toBeCloseTo(0.5, 9)
  })
  it('is a plain stretch of a rectangle', () => {
    const rect: Quad = [
      [0, 0],
      [200, 0],
      [200, 100],
      [0, 100],
    ]
    const numbers = flattening(rect, [400, 400]).slice(9, -1).split(',').map(Number)
    expect(numbers.map((n) => Math.round(1e9 * n) / 1e9 + 0)).toEqual([2, 0, 0, 0, 0, 4, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1])
  })
  it('says when three corners lie in a line', () =>
    expect(() =>
      squareToQuad([
        [0, 0],
        [50, 50],
        [100, 100],
        [150, 150],
      ]),
    ).toThrow('Tap the four corners again'))
})
