import fc from 'fast-check'
import { apportion, apportionParts } from './apportion'

describe('largest remainder', () => {
  it('follows the textbook example of Hamilton’s method', () => {
    // Quotas 2.76, 4.24 and 3.00 of 10 seats.
    expect(apportion(10, [276, 424, 300])).toEqual([3, 4, 3])
  })
  it('gives ties to the earlier part', () => expect(apportion(1, [1, 1])).toEqual([1, 0]))
  it('splits parts that are not whole', () =>
    expect(apportionParts(354_882, [1, 2, 0.5])).toEqual([101_395, 202_790, 50_697]))
  it('refuses what cannot be split', () => {
    expect(() => apportion(5, [0, 0])).toThrow('nothing to split by')
    expect(() => apportion(1.5, [1])).toThrow(RangeError)
    expect(() => apportion(1, [-1, 2])).toThrow(RangeError)
    expect(() => apportionParts(1, [])).toThrow('Give at least one part above zero')
    expect(apportion(0, [0, 0])).toEqual([0, 0])
  })
  it('always sums exactly, and is never a microlitre off its quota', () => {
    const weights = fc.array(fc.integer({ min: 0, max: 3_000_000_000 }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3_000_000_000 }), weights, (total, w) => {
        const sum = w.reduce((a, b) => a + b, 0)
        fc.pre(sum > 0)
        const parts = apportion(total, w)
        expect(parts.reduce((a, b) => a + b, 0)).toBe(total)
        parts.forEach((p, i) => expect(Math.abs(p - (total * w[i]!) / sum)).toBeLessThan(1 + 1e-6))
      }),
    )
  })
})
