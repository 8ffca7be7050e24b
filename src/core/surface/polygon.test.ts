import fc from 'fast-check'
import { clipTo, cut, polygonArea, stretchesCross, type Point } from './polygon'

const square: Point[] = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
]

/** Whether a point lies in a polygon, by the even and odd crossings of a ray. */
function isInside([x, y]: Point, points: readonly Point[]): boolean {
  let inside = false
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const [xi, yi] = points[i]!
    const [xj, yj] = points[j]!
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside
  }
  return inside
}

describe('polygons', () => {
  it('area by shoelace: a 3-4-5 triangle has 6', () =>
    expect(
      polygonArea([
        [0, 0],
        [4, 0],
        [0, 3],
      ]),
    ).toBe(6))
  it('clips to what lies inside: held against a count of places', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -5, max: 15 }), fc.integer({ min: -5, max: 15 })), {
          minLength: 3,
          maxLength: 3,
        }),
        (triangle) => {
          let count = 0
          for (let x = 0.05; x < 10; x += 0.1)
            for (let y = 0.05; y < 10; y += 0.1) if (isInside([x, y], triangle)) count++
          expect(Math.abs(polygonArea(clipTo(triangle, square)) - count / 100)).toBeLessThan(0.8)
        },
      ),
      { numRuns: 60 },
    ))
  it('cuts along a line', () => expect(polygonArea(cut(square, ([x]) => 4 - x))).toBeCloseTo(40, 12))
  it('tells crossing stretches from touching ones', () => {
    expect(stretchesCross([0, 0], [2, 2], [0, 2], [2, 0])).toBe(true)
    expect(stretchesCross([0, 0], [2, 2], [2, 2], [3, 0])).toBe(false)
  })
})
