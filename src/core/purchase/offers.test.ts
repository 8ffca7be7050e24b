import fc from 'fast-check'
import { checkOffer, offerCount, offerTotal, offerWords, splitPrice, type Offer } from './offers'

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
