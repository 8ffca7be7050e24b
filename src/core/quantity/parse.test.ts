import { parseAmount, parseMassMg, parsePouredUl, parseVolumeUl } from './parse'
import { formatDrops, formatVolume, massMg } from './format'

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
    ['1000 ml', 1_000_000],
    ['1 000 ml', 1_000_000],
    ['1.234,5 ml', 1_234_500],
    ['1,234.5 ml', 1_234_500],
    ['1,234,567 ml', 1_234_567_000],
    ['0,125 ml', 125],
    ['1.000 ml', 1_000],
    ['1e3 ml', 1_000_000],
    ['2 oz 3 drops', 59_297],
    ['1 cup 2 tbsp', 266_162],
    ['1½ cup + 1 tsp', 359_811],
  ])('%s is %d µl', (text, ul) => expect(parseVolumeUl(text)).toBe(ul))

  it('takes a bare number in the wanted system', () => expect(parseVolumeUl('2', 'us')).toBe(59_147))
  it('reads a bare oz as mass on the scale', () => expect(parseMassMg('2 oz')).toBe(56_699))
  it('says what to do with what it cannot read', () => {
    expect(() => parseVolumeUl('lots')).toThrow('“lots” is not an amount. Type something like 60 ml')
    expect(() => parseVolumeUl('3 buckets')).toThrow('“buckets” is not a unit Fika knows')
    expect(() => parseVolumeUl('3 g')).toThrow('“g” is a unit of mass, and a volume is wanted')
    expect(() => parseAmount('', 'length')).toThrow('40 cm or 16 in')
    expect(() => parseVolumeUl('1,000 ml')).toThrow('“1,000” can mean 1000 or 1.000. Type the one you mean')
    expect(() => parseVolumeUl('-3 ml')).toThrow('“-3 ml” is below zero, and an amount is not')
    for (const text of [
      '1/0 cup',
      '1.2.3 ml',
      '1,2,3 ml',
      '2 oz +',
      '+ 3 ml',
      '1 2 ml',
      'ml',
      '12,34.5 ml',
      '1.234.5,6 ml',
    ])
      expect(() => parseVolumeUl(text)).toThrow(/is not an amount|not a unit/)
    expect(() => parseVolumeUl('2 oz 3 g')).toThrow('“g” is a unit of mass')
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
