import { formatDrops, formatSmall, formatSmallBeside, formatSpoons, isCounted, volumeText } from './format'
import { parseVolumeUl } from './parse'

describe('small amounts, as one measures them', () => {
  it('are drops while one counts them, else millilitres, with the other beside', () => {
    expect([50, 3_000, 3_050, 13_000].map((ul) => formatSmall(ul))).toEqual([
      '1\u00a0drop',
      '60\u00a0drops',
      '3.05\u00a0ml',
      '13\u00a0ml',
    ])
    expect([3_000, 13_000].map((ul) => formatSmallBeside(ul))).toEqual(['3\u00a0ml', '0.44\u00a0fl\u00a0oz'])
  })
  it('are said in one unit beside one another', () => {
    expect(formatSmall(1_000, 50, 13_000)).toBe('1\u00a0ml')
  })
})

describe('a scoop', () => {
  it('is said to a quarter of a teaspoon of 4.93 ml (NIST Handbook 44)', () => {
    expect([1_232, 2_464, 4_929, 12_322, 14_787].map((ul) => formatSpoons(ul).replace('\u00a0', ' '))).toEqual([
      '¼ tsp',
      '½ tsp',
      '1 tsp',
      '2½ tsp',
      '3 tsp',
    ])
    expect(formatSpoons(500)).toBe('')
  })
  it('a drop is as large as what falls', () => {
    expect(formatDrops(450, 15)).toBe('30\u00a0drops')
    expect([isCounted(900, 15), isCounted(930, 15), isCounted(930)]).toEqual([true, false, true])
    expect(formatSmall(930, 15)).toBe('0.93\u00a0ml')
  })
})

describe('a volume as one would type it', () => {
  it('is in the unit it is round in, and read back to the microlitre', () => {
    expect([207_000, 207_015, 59_147, 44_360, 4_250, 12_345, 100, 1].map(volumeText)).toEqual([
      '207 ml',
      '7 fl oz',
      '2 fl oz',
      '1.5 fl oz',
      '4.25 ml',
      '12.345 ml',
      '0.1 ml',
      '0.001 ml',
    ])
    expect([null, undefined].map(volumeText)).toEqual(['', ''])
    for (let ul = 1; ul < 1_000_000; ul += 97) expect(parseVolumeUl(volumeText(ul))).toBe(ul)
    for (let halves = 1; halves <= 256; halves++) {
      const ul = parseVolumeUl(`${halves / 2} fl oz`)
      expect(parseVolumeUl(volumeText(ul))).toBe(ul)
    }
  })
})
