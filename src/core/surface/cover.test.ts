import { coveredShare, splitFace, splitShares } from './cover'
import { polygonArea } from './polygon'

const canvas = { shape: 'rectangle', lengthMm: 400, widthMm: 200 } as const
const box = (x: number, y: number, w: number, h: number) =>
  [
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ] as const

describe('what of a face is poured on', () => {
  it('is the share as given where nothing is drawn', () => {
    expect(coveredShare(canvas, 0.75, null)).toBe(0.75)
    expect(coveredShare(canvas, 0.75, [[0, 0]])).toBe(0.75)
  })
  it('is what a drawn region leaves, whichever way round it is drawn', () => {
    expect(coveredShare(canvas, 1, box(-200, -100, 100, 200))).toBeCloseTo(0.75, 12)
    expect(coveredShare(canvas, 1, [...box(-200, -100, 100, 200)].reverse())).toBeCloseTo(0.75, 12)
  })
  it('a region over the edge counts as far as it lies on the face', () =>
    expect(coveredShare(canvas, 1, box(100, -300, 500, 600))).toBeCloseTo(0.75, 12))
  it('on a round only what lies in it', () =>
    expect(coveredShare({ shape: 'round', diameterMm: 200 }, 1, box(0, -200, 200, 400))).toBeCloseTo(0.5, 12))
})

describe('a two-tone line', () => {
  it('upright through the middle halves it; moved, it takes what it takes', () => {
    expect(splitShares(canvas, { turnDeg: 0, offsetMm: 0 })).toEqual([0.5, 0.5])
    expect(splitShares(canvas, { turnDeg: 0, offsetMm: 100 })[0]).toBeCloseTo(0.75, 12)
    expect(splitShares(canvas, { turnDeg: 90, offsetMm: -50 })[0]).toBeCloseTo(0.25, 12)
  })
  it('slanted, its halves still make the whole', () => {
    const [a, b] = splitFace(canvas, { turnDeg: 31, offsetMm: 20 }).map(polygonArea)
    expect(a! + b!).toBeCloseTo(80_000, 6)
    // By symmetry a line through the middle halves it at any turn.
    expect(splitShares(canvas, { turnDeg: 31, offsetMm: 0 })[0]).toBeCloseTo(0.5, 12)
  })
})
