import { pieceFacts } from '../../../tests/support/learning/pouredFacts'
import { amountsOfPieces, edgesOf, enoughOf, sharesKept } from './amountsOfPieces'
import { driedFilms } from './driedFilms'

describe('pieces as amounts are learned from them', () => {
  it('are what was poured from cups beside the rule of 28, and what the maker made of it', () => {
    // 200 × 150 mm are 46.5 in²; ÷ 28 = 1.661 fl oz = 49.11 ml.
    const [one] = amountsOfPieces([pieceFacts('a', { pouredUl: 60_000, cupShare: 0.8 })])
    expect(one!.ofRule).toBeCloseTo(48 / 49.11, 3)
    expect(one!.edges).toBeCloseTo((2 * 10 * 350) / 30_000, 9)
    expect(amountsOfPieces([pieceFacts('a', { pouredUl: 0 })])).toEqual([])
    expect(enoughOf({ film: 'thin', bothers: [] })).toBe('short')
    expect(enoughOf({ film: null, bothers: ['empty corner'] })).toBe('short')
    expect(enoughOf({ film: 'too much', bothers: [] })).toBe('plenty')
    expect(enoughOf({ film: null, bothers: ['too much paint'] })).toBe('plenty')
    expect(enoughOf({ film: null, bothers: ['dull patch'] })).toBe('as wanted')
    expect(edgesOf({ shape: 'round', diameterMm: 100, edgeMm: 0, count: 1 })).toBe(0)
  })
  it('tell what stayed where it was weighed, technique by technique', () => {
    const kept = sharesKept([
      pieceFacts('a'),
      pieceFacts('b', { isWeighed: false }),
      pieceFacts('c', { technique: 'swipe' }),
    ])
    expect(kept).toEqual([
      { key: 'ring', values: [0.74] },
      { key: 'swipe', values: [0.74] },
    ])
  })
  it('tell of cracks once they are dry, with the mix and the skin', () => {
    const films = driedFilms([
      pieceFacts('a', { faults: ['crazing'], heatS: 45 }),
      pieceFacts('b', { fate: 'drying' }),
      pieceFacts('c', { fate: 'drying', faults: ['crazing'] }),
      pieceFacts('d', { humidity: 0.2, heatS: null }),
    ])
    expect(films.map((f) => [f.cracked, f.fastSkin])).toEqual([
      [true, 0.5],
      [true, 10 / 90],
      [false, 1],
    ])
  })
})
