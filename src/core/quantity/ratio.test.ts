import { formatRatio, parseRatio } from './ratio'

describe('a ratio as typed', () => {
  it('is its terms, however they are written', () => {
    expect(parseRatio('2:1')).toEqual([2, 1])
    expect(parseRatio('1 : 2 : 0,5')).toEqual([1, 2, 0.5])
    expect(parseRatio('½：1')).toEqual([0.5, 1])
    expect(formatRatio([1, 2 / 3])).toBe('1 : 0.67')
  })
  // Common practice, no published source: 3 : 1 taken as a third, which is 2 : 1, is a usual slip.
  it('asks back what is heard two ways', () => {
    for (const text of ['a third', '1/3', '⅓', 'third', 'One third'])
      expect(() => parseRatio(text)).toThrow('a share of the whole is 2 : 1, one part to 3 is 3 : 1')
    expect(() => parseRatio('a quarter')).toThrow('3 : 1, one part to 4 is 4 : 1')
    expect(() => parseRatio('half')).toThrow('1 : 1, one part to 2 is 2 : 1')
  })
  it('refuses what is none', () => {
    expect(() => parseRatio('3')).toThrow('has one part only')
    expect(() => parseRatio('2/3')).toThrow('has one part only')
    expect(() => parseRatio('a : 1')).toThrow('is not a ratio')
    expect(() => parseRatio('0 : 0')).toThrow('nothing but zeros')
  })
})
