import { formatSmall, formatSmallBeside } from './format'

describe('small amounts, as one measures them', () => {
  it('are drops while one counts them, else millilitres, with the other beside', () => {
    expect([50, 3_000, 3_050, 13_000].map((ul) => formatSmall(ul))).toEqual([
      '1\u00a0drop',
      '60\u00a0drops',
      '3.05\u00a0ml',
      '13\u00a0ml',
    ])
    expect([3_000, 13_000].map(formatSmallBeside)).toEqual(['3\u00a0ml', '0.44\u00a0fl\u00a0oz'])
  })
  it('are said in one unit beside one another', () => {
    expect(formatSmall(1_000, 13_000)).toBe('1\u00a0ml')
  })
})
