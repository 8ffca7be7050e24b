import { parseAmount, parseMassMg, parsePouredUl, parseVolumeUl } from './parse'
import { findUnit, UNITS } from './units'
import { parseNumber } from './number'
import { formatRatio, parseRatio } from './ratio'
import { formatSize, parseSize } from './size'
import { formatDrops, formatSmall, formatSmallBeside, formatVolume, massMg } from './format'
import { formatMoney, parseMoneyMinor } from './money'

describe('unit factors', () => {
  // NIST Handbook 44 (Appendix C) and SP 811: exact values.
  it.each([
    ['fl oz', 29.5735295625],
    ['cup', 236.5882365],
    ['tbsp', 14.78676478125],
    ['tsp', 4.92892159375],
    ['pt', 473.176473],
    ['qt', 946.352946],
    ['gal', 3785.411784],
    ['oz', 28.349523125],
    ['lb', 453.59237],
    ['in', 25.4],
    ['ft', 304.8],
  ])('%s', (symbol, factor) => {
    expect(UNITS.find((u) => u.symbol === symbol)?.factor).toBe(factor)
  })

  it('agree with the definition of the gallon as 231 cubic inches', () => {
    const gallonMl = 231 * 2.54 ** 3
    expect(findUnit('gal', 'volume')!.factor).toBeCloseTo(gallonMl, 9)
    expect(findUnit('fl oz', 'volume')!.factor * 128).toBeCloseTo(gallonMl, 9)
    expect(findUnit('cup', 'volume')!.factor * 16).toBeCloseTo(gallonMl, 9)
    expect(findUnit('tbsp', 'volume')!.factor * 256).toBeCloseTo(gallonMl, 9)
    expect(findUnit('tsp', 'volume')!.factor * 768).toBeCloseTo(gallonMl, 9)
  })

  it('every unit names its source', () => {
    for (const u of UNITS) expect(u.source.length).toBeGreaterThan(5)
  })
})

describe('numbers as people write them', () => {
  it.each([
    ['1.5', 1.5],
    ['1,5', 1.5],
    ['1 1/2', 1.5],
    ['1½', 1.5],
    ['½', 0.5],
    ['3/4', 0.75],
    ['.5', 0.5],
    [' 12 ', 12],
  ])('%s', (text, value) => expect(parseNumber(text)).toBe(value))
  it.each(['', 'abc', '1/0', '1 2', '--1', '-3', '1e9x'])('refuses %p', (text) =>
    expect(parseNumber(text)).toBeUndefined(),
  )
})

describe('amounts', () => {
  it.each([
    ['2 oz', 59_147],
    ['1 1/2 cup', 354_882],
    ['½ tsp', 2_464],
    ['60ml', 60_000],
    ['3 drops', 150],
    ['1 drop', 50],
    ['2 fl oz + 3 drops', 59_297],
    ['1,5 cl', 15_000],
    ['12 FL OZ', 354_882],
    ['60', 60_000],
  ])('%s is %d µl', (text, ul) => expect(parseVolumeUl(text)).toBe(ul))

  it('takes a bare number in the wanted system', () => expect(parseVolumeUl('2', 'us')).toBe(59_147))
  it('reads a bare oz as mass on the scale', () => expect(parseMassMg('2 oz')).toBe(56_699))
  it('says what to do with what it cannot read', () => {
    expect(() => parseVolumeUl('lots')).toThrow('“lots” is not an amount. Type something like 60 ml')
    expect(() => parseVolumeUl('3 buckets')).toThrow('“buckets” is not a unit Fika knows')
    expect(() => parseVolumeUl('3 g')).toThrow('“g” is a unit of mass, and a volume is wanted')
    expect(() => parseAmount('', 'length')).toThrow('40 cm or 16 in')
  })
  it('reads what was poured off the scale by its density, and a bare oz as fluid', () => {
    expect(parsePouredUl('156 g', 1.2)).toBe(130_000)
    expect(parsePouredUl('130 ml', 1.2)).toBe(130_000)
    expect(parsePouredUl('4 oz', 1.2)).toBe(118_294)
    expect(() => parsePouredUl('a lot', 1.2)).toThrow('is not an amount')
  })
  it('formats both systems', () => {
    expect(formatVolume(60_000)).toBe('60\u00a0ml · 2.03\u00a0fl\u00a0oz')
    expect(formatVolume(354_882)).toBe('355\u00a0ml · 12\u00a0fl\u00a0oz')
    expect(formatDrops(150)).toBe('3\u00a0drops')
    expect(formatDrops(50)).toBe('1\u00a0drop')
    expect(massMg(60_000, 1.07)).toBe(64_200)
  })
})

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

describe('small amounts, as one measures them', () => {
  it('are drops while one counts them, else millilitres, with the other beside', () => {
    expect([50, 3_000, 3_050, 13_000].map((ul) => formatSmall(ul))).toEqual([
      '1\u00a0drop',
      '60\u00a0drops',
      '3.05\u00a0ml',
      '13\u00a0ml',
    ])
    expect([3_000, 13_000].map(formatSmallBeside)).toEqual(['3\u00a0ml', '260\u00a0drops'])
  })
  it('are said in one unit beside one another', () => {
    expect(formatSmall(1_000, 13_000)).toBe('1\u00a0ml')
  })
})
