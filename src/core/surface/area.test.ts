import fc from 'fast-check'
import { areas } from './area'
import type { ProfilePoint, Surface } from './shapes'

const face = (s: Partial<Surface> & { shape: Surface['shape'] }) =>
  areas({ edgeMm: 0, count: 1, ...s } as Surface).faceMm2
const vessel = (points: readonly ProfilePoint[]) => face({ shape: 'profile', points })
const p = (heightMm: number, radiusMm: number): ProfilePoint => ({ heightMm, radiusMm })
const curve = (n: number, at: (t: number) => ProfilePoint) => Array.from({ length: n + 1 }, (_, i) => at(i / n))

describe('areas', () => {
  it('rectangle: LW and 2d(L+W)', () =>
    expect(areas({ shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count: 1 })).toEqual({
      faceMm2: 200_000,
      edgesMm2: 36_000,
    }))
  it('rounds: πD²/4 and πDd', () => {
    const round = areas({ shape: 'round', diameterMm: 300, edgeMm: 10, count: 2 })
    expect(round.faceMm2).toBeCloseTo(2 * 70_685.83, 1)
    expect(round.edgesMm2).toBeCloseTo(2 * 9_424.78, 1)
  })
  it('an ellipse of equal axes is a round, and a thin one has twice its length round it', () => {
    const round = areas({ shape: 'ellipse', lengthMm: 300, widthMm: 300, edgeMm: 10, count: 1 })
    expect(round.edgesMm2).toBeCloseTo(Math.PI * 300 * 10, 6)
    // Complete elliptic integral for a = 200, b = 100: perimeter 968.844822 (Abramowitz & Stegun 17.3).
    const two = areas({ shape: 'ellipse', lengthMm: 400, widthMm: 200, edgeMm: 1, count: 1 })
    expect(two.edgesMm2).toBeCloseTo(968.8448, 3)
  })
  it('a hexagon over its corners: 3√3/2 R² and 6 R; with many corners it is a round', () => {
    const six = areas({ shape: 'polygon', sides: 6, acrossMm: 200, edgeMm: 1, count: 1 })
    expect(six.faceMm2).toBeCloseTo(25_980.76, 2)
    expect(six.edgesMm2).toBeCloseTo(600, 9)
    expect(face({ shape: 'polygon', sides: 24, acrossMm: 200 })).toBeLessThan(face({ shape: 'round', diameterMm: 200 }))
  })
  it('tiles: each its own face and edges; the gaps take nothing', () =>
    expect(
      areas({ shape: 'tiles', lengthMm: 100, widthMm: 100, across: 3, down: 2, gapMm: 5, edgeMm: 8, count: 1 }),
    ).toEqual({
      faceMm2: 60_000,
      edgesMm2: 6 * 400 * 8,
    }))
})

/** Pappus and Guldin: area = 2π × radius of the curve's centroid × its length. */
describe('vessels by frusta, held against Pappus–Guldinus', () => {
  it('cone: π r √(r² + h²)', () => expect(vessel([p(0, 0), p(40, 30)])).toBeCloseTo(Math.PI * 30 * 50, 9))
  it('cylinder: 2π r h', () => expect(vessel([p(0, 45), p(200, 45)])).toBeCloseTo(2 * Math.PI * 45 * 200, 9))
  it('sphere: 4π r²', () =>
    expect(
      vessel(curve(180, (t) => p(50 - 50 * Math.cos(Math.PI * t), 50 * Math.sin(Math.PI * t)))) / (4 * Math.PI * 2500),
    ).toBeCloseTo(1, 4))
  it('torus: 4π² R r', () => {
    const ring = curve(180, (t) => p(20 + 20 * Math.sin(2 * Math.PI * t), 80 + 20 * Math.cos(2 * Math.PI * t)))
    expect(vessel(ring) / (4 * Math.PI ** 2 * 80 * 20)).toBeCloseTo(1, 3)
  })
  it('any polyline: the sum over its stretches of 2π × middle radius × length', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 1, max: 50, noNaN: true }), fc.double({ min: 1, max: 90, noNaN: true })), {
          minLength: 1,
          maxLength: 12,
        }),
        (steps) => {
          let h = 0
          const points = [p(0, 10), ...steps.map(([up, r]) => p((h += up), r))]
          const pappus = points.slice(1).reduce((sum, b, i) => {
            const a = points[i]!
            return (
              sum +
              2 *
                Math.PI *
                ((a.radiusMm + b.radiusMm) / 2) *
                Math.hypot(b.heightMm - a.heightMm, b.radiusMm - a.radiusMm)
            )
          }, 0)
          expect(vessel(points) / pappus).toBeCloseTo(1, 10)
        },
      ),
    ))
  it('says where a profile crosses itself', () => {
    expect(() => vessel([p(0, 10), p(50, 60), p(50, 10), p(0, 60)])).toThrow(
      'The profile crosses itself between points 1 and 2 and points 3 and 4.',
    )
    expect(() => vessel([p(0, 10)])).toThrow('2 to 200 points')
    expect(() => vessel([p(0, 0), p(9, 0)])).toThrow('Every radius')
  })
})

it.each([
  [{ shape: 'rectangle', lengthMm: 0, widthMm: 3 }, 'sides above zero'],
  [{ shape: 'rectangle', lengthMm: 3, widthMm: 3, edgeMm: -1 }, 'edge depth'],
  [{ shape: 'rectangle', lengthMm: 3, widthMm: 3, count: 0 }, 'count'],
  [{ shape: 'polygon', sides: 2, acrossMm: 9 }, '3 to 24 corners'],
  [{ shape: 'tiles', lengthMm: 9, widthMm: 9, across: 0, down: 2, gapMm: 0 }, '1 to 50 across'],
  [{ shape: 'area', areaMm2: 0 }, 'sides above zero'],
] as const)('refuses %j', (s, sentence) => expect(() => face(s as never)).toThrow(sentence))
