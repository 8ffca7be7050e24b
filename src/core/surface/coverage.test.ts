import { ML_PER_FL_OZ } from '../quantity/units'
import { areas } from './area'
import { layerUl, pourUl } from './coverage'

const canvas = (l: number, w: number, edgeMm = 0, count = 1) =>
  ({ shape: 'rectangle', lengthMm: l * 25.4, widthMm: w * 25.4, edgeMm, count }) as const

describe('rule of 28 (common practice, no published source)', () => {
  it.each([
    [16, 20, 11.43],
    [18, 24, 15.43],
    [15, 30, 16.07],
  ])('%d × %d in wants %d fl oz', (l, w, flOz) => {
    expect(pourUl(canvas(l, w), { kind: 'rule-of-28' }) / 1000 / ML_PER_FL_OZ).toBeCloseTo(flOz, 2)
  })
  it('is 1.637 mm wet over the face and leaves the edges to habit', () => {
    const ul = pourUl(canvas(16, 20, 38), { kind: 'rule-of-28' })
    expect(ul / areas(canvas(16, 20)).faceMm2).toBeCloseTo(1.637, 3)
    expect(ul).toBe(pourUl(canvas(16, 20), { kind: 'rule-of-28' }))
  })
  it('counts pieces', () => expect(pourUl(canvas(16, 20, 0, 3), { kind: 'rule-of-28' })).toBe(3 * 337_983 + 1))
  it('leaves out what is kept free', () =>
    expect(pourUl(canvas(16, 20), { kind: 'rule-of-28' }, 0.75)).toBe(Math.round(0.75 * 337_983.2)))
})

describe('the other schools', () => {
  it('film: adds the edges and the run-off', () => {
    // Face 400 × 500 = 200 000 mm², edges 2·20·900 = 36 000 mm²; 236 000 × 1.2 mm × 1.25 = 354 000 µl.
    const surface = { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count: 1 } as const
    const film = { kind: 'film', wetMm: 1.2, runOffShare: 0.25 } as const
    expect(pourUl(surface, film)).toBe(354_000)
    // Three quarters of the face, and all of the edges: (150 000 + 36 000) × 1.5.
    expect(pourUl(surface, film, 0.75)).toBe(279_000)
  })
  it('as learned: times the rule of 28', () =>
    expect(pourUl(canvas(16, 20), { kind: 'learned', factor: 0.8 })).toBe(270_387))
  it('own figure: for each piece', () => expect(pourUl(canvas(3, 3, 0, 4), { kind: 'own', ul: 25_000 })).toBe(100_000))
  it('spreads as spreading rate = 1000 / wet µm (coatings relation, ISO 23811)', () => {
    // 1 l at 100 µm covers 10 m².
    expect(layerUl(10_000_000, 0.1)).toBe(1_000_000)
  })
})
