import fc from 'fast-check'
import { breakEven, league, mixedPerMl } from './league'
import { checkOffer, offerCount, offerTotal, offerWords, splitPrice, type Offer } from './offers'
import { offerRhythm, stockUntil } from './rhythm'

describe('offers', () => {
  // Worked by hand with invented prices: an item at 9.90.
  it.each<[Offer, number, number]>([
    [{ kind: 'list' }, 3, 2970],
    [{ kind: 'percent', percent: 30 }, 3, 2079],
    [{ kind: 'percent', percent: 33 }, 1, 663],
    [{ kind: 'n-for-m', get: 3, pay: 2 }, 7, 4950],
    [{ kind: 'coupon', percent: 40 }, 2, 1584],
    [{ kind: 'bundle', count: 5, priceMinor: 3500 }, 6, 4490],
  ])('%j for %d costs %d', (offer, count, total) => expect(offerTotal(990, count, offer)).toBe(total))
  it('never cost more than the list price, bundles apart', () => {
    const offer = fc.oneof(
      fc.integer({ min: 1, max: 100 }).map((percent) => ({ kind: 'percent' as const, percent })),
      fc.integer({ min: 1, max: 100 }).map((percent) => ({ kind: 'coupon' as const, percent })),
      fc.integer({ min: 1, max: 6 }).map((pay) => ({ kind: 'n-for-m' as const, pay, get: pay + 1 })),
    )
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100_000 }), fc.integer({ min: 1, max: 20 }), offer, (list, n, o) => {
        const total = offerTotal(list, n, o)
        expect(Number.isInteger(total) && total >= 0 && total <= list * n).toBe(true)
      }),
    )
  })
  it('that cannot be are refused with what is wrong', () => {
    expect(() => checkOffer({ kind: 'percent', percent: 0 })).toThrow('Percent off lies above 0')
    expect(() => checkOffer({ kind: 'n-for-m', get: 2, pay: 2 })).toThrow('fewer than it gets')
    expect(() => checkOffer({ kind: 'bundle', count: 0, priceMinor: 1 })).toThrow('count above zero')
    expect(() => offerTotal(1, 0, { kind: 'list' })).toThrow('at least one')
  })
  it('say their words and how many use them in full', () => {
    expect(offerWords({ kind: 'n-for-m', get: 3, pay: 2 })).toBe('3 for 2')
    expect(offerWords({ kind: 'coupon', percent: 40 })).toBe('40 % off one')
    expect(offerCount({ kind: 'bundle', count: 5, priceMinor: 1 })).toBe(5)
    expect(offerCount({ kind: 'percent', percent: 5 })).toBe(1)
  })
  it('a boxed set’s price is split to the cent, by worth, or evenly where nothing is known', () => {
    expect(splitPrice(1000, [990, 990, 1290])).toEqual([303, 303, 394])
    expect(splitPrice(1000, [0, 0, 0]).reduce((a, b) => a + b)).toBe(1000)
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e7 }), fc.array(fc.nat(5000), { minLength: 1, maxLength: 30 }), (t, w) => {
        expect(splitPrice(t, w).reduce((a, b) => a + b)).toBe(t)
      }),
    )
  })
})

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

describe('the rhythm of offers', () => {
  const day = (n: number) => new Date(Date.UTC(2026, 0, 1) + n * 86_400_000)
  it('is the median gap, and the next falls after today', () => {
    expect(offerRhythm([day(0), day(90), day(170), day(262)], day(300))).toEqual({ everyDays: 90, nextAt: day(352) })
    expect(offerRhythm([day(100), day(0), day(50)], day(260))).toEqual({ everyDays: 50, nextAt: day(300) })
    expect(offerRhythm([day(0), day(90)], day(100))).toBeUndefined()
  })
  it('says how many containers last until then', () => {
    // 300 ml in 90 days; 60 days to go: 200 ml, 50 on hand, 150 to buy: two of 120.
    expect(stockUntil(day(60), day(0), 300_000, 90, 50_000, 120_000)).toEqual({ needUl: 150_000, containers: 2 })
    expect(stockUntil(day(60), day(0), 30_000, 90, 50_000, 120_000)).toEqual({ needUl: 0, containers: 0 })
  })
})
