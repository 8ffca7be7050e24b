import { breakEven, league, mixedPerMl, type MixedWay } from './league'

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

describe('break-even between two ways to get mixed paint', () => {
  const at = (w: MixedWay, mediumPerMl: number) => mixedPerMl(w.perMl, { ...w, mediumPerMl })
  it('of one paint without water lies where medium costs what paint does', () => {
    // Hand-worked: (p + 2m)/3 = (p + 7m)/8 gives 5p = 5m.
    const even = breakEven({ perMl: 8, medium: 2, water: 0 }, { perMl: 8, medium: 7, water: 0 }, 3)
    expect(even.mediumPerMl).toBeCloseTo(8, 12)
  })
  // Hand-worked, money a ml, 240 ml: craft 0.030 at 1 : 1 with medium 0.006 costs 240 × 0.036 / 2 = 4.32; a tube of the
  // same price at 1 : 2 : 1 is 240 × 0.042 / 4 = 2.52, at 1 : 3 : 1 240 × 0.048 / 5 = 2.304; the tube at 1 : 2 : 1 costs
  // what the craft paint does at 2 × 0.036 − 0.012 = 0.060.
  const craft = { perMl: 0.03, medium: 1, water: 0 }
  const tube = (perMl: number, medium = 2) => ({ perMl, medium, water: 1 })
  it('a craft paint against a tube paint', () => {
    const cost = (w: MixedWay) => 240 * at(w, 0.006)
    expect(cost(craft)).toBeCloseTo(4.32, 9)
    expect(cost(tube(0.03))).toBeCloseTo(2.52, 9)
    expect(cost(tube(0.03, 3))).toBeCloseTo(2.304, 9)
    expect(breakEven(craft, tube(0.075), 0.006).paintPerMl).toBeCloseTo(0.06, 12)
    // So at list price the conclusion turns, and at half of it it does not.
    expect(cost(tube(0.075))).toBeGreaterThan(cost(craft))
    expect(cost(tube(0.0375))).toBeLessThan(cost(craft))
  })
  it('both cost the same there', () => {
    const [one, two] = [
      { perMl: 8, medium: 2, water: 0.5 },
      { perMl: 5, medium: 6, water: 1 },
    ]
    const { mediumPerMl, paintPerMl } = breakEven(one, two, 2)
    expect(at({ ...two, perMl: paintPerMl! }, 2)).toBeCloseTo(at(one, 2), 12)
    const even = breakEven({ ...one, perMl: 3 }, two, 2).mediumPerMl ?? mediumPerMl!
    expect(even).toBeGreaterThan(0)
  })
  it('is nowhere where the one is dearer at every price of medium', () => {
    expect(breakEven({ perMl: 8, medium: 2, water: 0 }, { perMl: 4, medium: 2, water: 0 }, 3).mediumPerMl).toBeNull()
  })
})
