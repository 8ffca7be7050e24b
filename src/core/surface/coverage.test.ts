import { areas } from './area'
import { cupUl, layerUl } from './coverage'
import { ML_PER_FL_OZ } from '../quantity/units'

const canvas = (l: number, w: number, edgeMm = 0, count = 1) =>
  ({ shape: 'rectangle', lengthMm: l * 25.4, widthMm: w * 25.4, edgeMm, count }) as const

describe('rule of 28 (common practice, no published source)', () => {
  it.each([
    [16, 20, 11.43],
    [18, 24, 15.43],
    [15, 30, 16.07],
  ])('%d × %d in wants %d fl oz', (l, w, flOz) => {
    expect(cupUl(canvas(l, w), { kind: 'rule-of-28' }) / 1000 / ML_PER_FL_OZ).toBeCloseTo(flOz, 2)
  })
  it('is 1.637 mm wet over the face and leaves the edges to habit', () => {
    const ul = cupUl(canvas(16, 20, 38), { kind: 'rule-of-28' })
    expect(ul / areas(canvas(16, 20)).faceMm2).toBeCloseTo(1.637, 3)
    expect(ul).toBe(cupUl(canvas(16, 20), { kind: 'rule-of-28' }))
  })
  it('counts pieces', () => expect(cupUl(canvas(16, 20, 0, 3), { kind: 'rule-of-28' })).toBe(3 * 337_983 + 1))
})

describe('film school and areas', () => {
  it('adds the edges and the run-off', () => {
    // Face 400 × 500 = 200 000 mm², edges 2·20·900 = 36 000 mm²; 236 000 × 1.2 mm × 1.25 = 354 000 µl.
    const surface = { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count: 1 } as const
    expect(areas(surface)).toEqual({ faceMm2: 200_000, edgesMm2: 36_000 })
    expect(cupUl(surface, { kind: 'film', wetMm: 1.2, runOffShare: 0.25 })).toBe(354_000)
  })
  it('rounds: πD²/4 and πDd', () => {
    const round = { shape: 'round', diameterMm: 300, edgeMm: 10, count: 2 } as const
    expect(areas(round).faceMm2).toBeCloseTo(2 * 70_685.83, 1)
    expect(areas(round).edgesMm2).toBeCloseTo(2 * 9_424.78, 1)
  })
  it('spreads as spreading rate = 1000 / wet µm (coatings relation)', () => {
    // 1 l at 100 µm covers 10 m².
    expect(layerUl(10_000_000, 0.1)).toBe(1_000_000)
  })
  it('refuses impossible surfaces', () => {
    expect(() => areas(canvas(0, 3))).toThrow('sides above zero')
    expect(() => areas(canvas(1, 3, -1))).toThrow('edge depth')
    expect(() => areas(canvas(1, 3, 0, 0))).toThrow('count')
  })
})
