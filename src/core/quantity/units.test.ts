import { findUnit, UNITS } from './units'

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
