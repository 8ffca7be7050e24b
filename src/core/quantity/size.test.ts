import { formatRatio, parseRatio } from './ratio'
import { formatSize, parseSize } from './size'
import { formatMoney, parseMoneyMinor } from './money'

describe('ratios, sizes, money', () => {
  it('reads ratios', () => {
    expect(parseRatio('1:2:1')).toEqual([1, 2, 1])
    expect(parseRatio('3.3 : 1')).toEqual([3.3, 1])
    expect(parseRatio('½:1')).toEqual([0.5, 1])
    expect(formatRatio([1, 2, 1 / 3])).toBe('1 : 2 : 0.33')
  })
  it.each(['3', '0:0', '1:', 'a:b', ''])('refuses the ratio %p', (text) => expect(() => parseRatio(text)).toThrow())
  it('reads sizes', () => {
    expect(parseSize('16x20 in')).toEqual({ lengthMm: 16 * 25.4, widthMm: 508 })
    expect(parseSize('40 × 50 cm')).toEqual({ lengthMm: 400, widthMm: 500 })
    expect(parseSize('60cm x 3 ft')).toEqual({ lengthMm: 600, widthMm: 3 * 304.8 })
    expect(parseSize('16 by 20', 'us').widthMm).toBe(508)
    expect(formatSize(parseSize('16x20 in'))).toBe('40.6 × 50.8 cm · 16 × 20 in')
  })
  it.each(['16', '0 x 3 cm', '3x4x5', '3 x 4 ml', 'x'])('refuses the size %p', (text) =>
    expect(() => parseSize(text)).toThrow('is not a size'),
  )
  it('reads and writes prices', () => {
    expect(parseMoneyMinor('12.50')).toBe(1250)
    expect(parseMoneyMinor('€ 12')).toBe(1200)
    expect(parseMoneyMinor('9,9')).toBe(990)
    expect(() => parseMoneyMinor('1.234,50')).toThrow('is not a price')
    expect(() => parseMoneyMinor('-3')).toThrow('is not a price')
    expect(formatMoney(1250, 'EUR')).toBe('€12.50')
  })
})
