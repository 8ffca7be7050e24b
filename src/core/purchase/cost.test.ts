import { costOf, paintingCost, perMl } from './cost'

describe('costs, worked by hand', () => {
  it('per ml', () => {
    // 9.90 for 60 ml is 16.5 cents a ml; the 250 ml at 49.50 is dearer than two of 120 ml at 18.00.
    expect(perMl(990, 60_000)).toBeCloseTo(16.5, 12)
    expect(perMl(4950, 250_000)).toBeGreaterThan(perMl(1800, 120_000))
  })
  it('sums portions at the price really paid', () => {
    // 20 ml of a 60 ml tube at 9.90 = 3.30; 40 ml of a 1 l medium at 18.00 = 0.72.
    const cost = costOf([
      { ul: 20_000, priceMinor: 990, sizeUl: 60_000 },
      { ul: 40_000, priceMinor: 1800, sizeUl: 1_000_000 },
    ])
    expect(cost.minor).toBeCloseTo(402, 9)
    expect(cost.unpricedUl).toBe(0)
  })
  it('says how much has no price', () => {
    expect(costOf([{ ul: 5_000, priceMinor: null, sizeUl: null }])).toEqual({ minor: 0, unpricedUl: 5_000 })
  })
  it('per painting: V (p + k m) / (1 + k + w)', () => {
    // 340 ml at 1 : 2 : 0.4, paint 0.15 and medium 0.02 a ml: 100 ml paint 15.00 + 200 ml medium 4.00 = 19.00.
    expect(paintingCost(340, 0.15, 0.02, 2, 0.4)).toBeCloseTo(19, 9)
    // More medium is dearer when the medium costs more than the paint.
    expect(paintingCost(340, 0.02, 0.15, 3)).toBeGreaterThan(paintingCost(340, 0.02, 0.15, 1))
  })
})
