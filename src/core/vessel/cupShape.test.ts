import fc from 'fast-check'
import { cupHoldsUl, fillLines, heightInCup } from './cupShape'

const cylinder = { bottomMm: 60, topMm: 60, heightMm: 100 }
const paper = { bottomMm: 50, topMm: 75, heightMm: 90 }

describe('how high a volume stands in a cup', () => {
  it('in a straight one goes with the volume', () => {
    expect(cupHoldsUl(cylinder)).toBeCloseTo(Math.PI * 900 * 100, 6)
    expect(heightInCup(cylinder, (Math.PI * 900 * 100) / 4)).toBeCloseTo(25, 9)
  })
  // Pappus–Guldinus: area of the cross-section's half times the way of its centroid.
  it('holds what Pappus says a trapezium turned round its axis holds', () => {
    const [r, top, h] = [25, 37.5, 90]
    const square = { area: r * h, centroid: r / 2 }
    const triangle = { area: ((top - r) * h) / 2, centroid: r + (top - r) / 3 }
    const pappus = 2 * Math.PI * (square.area * square.centroid + triangle.area * triangle.centroid)
    expect(cupHoldsUl(paper)).toBeCloseTo(pappus, 6)
  })
  // Slices of a hundredth of a mm, laid one on another.
  it('is what slices add up to, for wide and narrow rims alike', () => {
    const sliced = (cup: typeof paper, h: number) => {
      let ul = 0
      for (let z = 0.005; z < h; z += 0.01)
        ul += Math.PI * (cup.bottomMm / 2 + ((cup.topMm - cup.bottomMm) / 2) * (z / cup.heightMm)) ** 2 * 0.01
      return ul
    }
    for (const cup of [paper, { bottomMm: 80, topMm: 55, heightMm: 110 }])
      for (const h of [5, 40, 88]) expect(heightInCup(cup, sliced(cup, h))).toBeCloseTo(h, 2)
  })
  it('whatever the cup: empty at the bottom, full at the rim, and higher the more is in it', () => {
    const mm = fc.integer({ min: 5, max: 300 })
    fc.assert(
      fc.property(mm, mm, mm, fc.double({ min: 0, max: 1, noNaN: true }), (bottomMm, topMm, heightMm, share) => {
        const cup = { bottomMm, topMm, heightMm }
        const holds = cupHoldsUl(cup)
        expect(heightInCup(cup, 0)).toBeCloseTo(0, 9)
        expect(heightInCup(cup, holds)).toBeCloseTo(heightMm, 5)
        const [at, more] = [heightInCup(cup, 0.9 * share * holds), heightInCup(cup, (0.9 * share + 0.05) * holds)]
        expect(more).toBeGreaterThan(at)
      }),
    )
  })
  it('gives a line after each of what goes in, inside and along the slanting wall', () => {
    const lines = fillLines(paper, [
      { id: 'paint', ul: 20_000 },
      { id: 'medium', ul: 140_000 },
      { id: 'water', ul: 5_000 },
    ])
    expect(lines.map((l) => [l.id, l.upToUl])).toEqual([
      ['paint', 20_000],
      ['medium', 160_000],
      ['water', 165_000],
    ])
    for (const l of lines) expect(heightInCup(paper, l.upToUl)).toBe(l.heightMm)
    // Along a wall that leans 12.5 mm out over 90.
    expect(lines[0]!.wallMm / lines[0]!.heightMm).toBeCloseTo(Math.hypot(90, 12.5) / 90, 9)
  })
  it('refuses more than it holds, and what is no cup', () => {
    expect(() => heightInCup(cylinder, 283_000)).toThrow(/This cup holds 283.ml, and 283.ml are planned/)
    expect(() => fillLines(paper, [{ id: 'a', ul: 400_000 }])).toThrow('Take a larger one')
    expect(() => cupHoldsUl({ ...paper, topMm: 0 })).toThrow('Measure the cup inside')
    expect(() => cupHoldsUl({ ...paper, heightMm: NaN })).toThrow('A measure of the cup')
  })
})
