import { breakEven, league, mixedPerMl } from './league'

describe('the price league', () => {
  // Hand-worked: medium 1.5 ct/ml at 2 : 1 with 0.25 water. 60 ml at 6.60 = 11 ct/ml → (11 + 3) / 3.25 = 4.3077 ct/ml;
  // 250 ml at 30.00 = 12 ct/ml → (12 + 3) / 3.25 = 4.6154; on offer 250 ml at 20.00 = 8 → 11 / 3.25 = 3.3846.
  const ratio = { medium: 2, water: 0.25, mediumPerMl: 1.5 }
  const entries = [
    { paintId: 'a', sizeUl: 250_000, eachMinor: 3000, onOffer: false },
    { paintId: 'a', sizeUl: 60_000, eachMinor: 660, onOffer: false },
    { paintId: 'a', sizeUl: 250_000, eachMinor: 2000, onOffer: true },
    { paintId: 'b', sizeUl: 500_000, eachMinor: 6000, onOffer: false },
  ]
  it('ranks by mixed paint and marks the bigger one that is dearer, like with like', () => {
    const ranked = league(entries, () => ratio)
    expect(ranked.map((r) => r.perMl)).toEqual([8, 11, 12, 12])
    expect(ranked.map((r) => Number(r.perMixedMl.toFixed(4)))).toEqual([3.3846, 4.3077, 4.6154, 4.6154])
    expect(ranked.filter((r) => r.dearerThan).map((r) => [r.entry, r.dearerThan])).toEqual([[entries[0], entries[1]]])
  })
})

describe('break-even between two ratios', () => {
  it('without water lies where medium costs what paint does', () => {
    // Hand-worked: (p + 2m)/3 = (p + 7m)/8 gives 5p = 5m.
    const even = breakEven({ medium: 2, water: 0 }, { medium: 7, water: 0 }, 8, 3)
    expect(even).toEqual({ mediumPerMl: 8, paintPerMl: 3 })
  })
  it('with water: both ratios cost the same there', () => {
    const [one, two] = [
      { medium: 2, water: 0.5 },
      { medium: 6, water: 0.5 },
    ]
    const { mediumPerMl, paintPerMl } = breakEven(one, two, 8, 2)
    // (8 + 2m)/3.5 = (8 + 6m)/7.5 → 60 + 15m = 28 + 21m → m = 32/6.
    expect(mediumPerMl).toBeCloseTo(32 / 6, 12)
    expect(mixedPerMl(8, { ...one, mediumPerMl: mediumPerMl! })).toBeCloseTo(
      mixedPerMl(8, { ...two, mediumPerMl: mediumPerMl! }),
      12,
    )
    expect(mixedPerMl(paintPerMl!, { ...one, mediumPerMl: 2 })).toBeCloseTo(
      mixedPerMl(paintPerMl!, { ...two, mediumPerMl: 2 }),
      12,
    )
  })
  it('is nowhere where one ratio only adds water', () => {
    expect(breakEven({ medium: 2, water: 0 }, { medium: 2, water: 1 }, 8, 3)).toEqual({
      mediumPerMl: null,
      paintPerMl: null,
    })
  })
})
