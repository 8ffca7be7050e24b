import { parseNumber } from './number'

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
