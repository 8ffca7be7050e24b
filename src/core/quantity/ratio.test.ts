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
      expect(() => parseRatio(text)).toThrow(
        'as a share of the whole it is 2 : 1, as paint to one part of medium 3 : 1',
      )
    expect(() => parseRatio('a quarter')).toThrow('3 : 1, as paint to one part of medium 4 : 1')
    expect(() => parseRatio('half')).toThrow('1 : 1, as paint to one part of medium 2 : 1')
  })
  // Common practice, no published source: parts of paint read as parts of the total are another.
  it('asks back parts of paint against parts of the whole', () => {
    for (const text of ['25 %', '25% paint', '1 in 4', '1 part in 4', 'one of four', 'a quarter of paint'])
      expect(() => parseRatio(text)).toThrow(
        'as a share of the whole it is 3 : 1, as paint to one part of medium 4 : 1',
      )
    expect(() => parseRatio('30 %')).toThrow('it is 2.33 : 1, as paint to one part of medium 3.33 : 1')
    for (const text of ['120 %', '0 %', '1 in 1', '1 in x'])
      expect(() => parseRatio(text)).not.toThrow('heard two ways')
  })
  it('refuses what is none', () => {
    expect(() => parseRatio('3')).toThrow('has one part only')
    expect(() => parseRatio('2/3')).toThrow('has one part only')
    expect(() => parseRatio('a : 1')).toThrow('is not a ratio')
    expect(() => parseRatio('0 : 0')).toThrow('nothing but zeros')
  })
})
