import { numberIn, parseNumber } from './number'

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

describe('a number that must be one', () => {
  it('is read, refused in the words given, or asked back where it reads two ways', () => {
    expect(numberIn('1 1/2', 'No.')).toBe(1.5)
    expect(() => numberIn('some', 'Type it like 2.')).toThrow('Type it like 2.')
    expect(() => numberIn('2 l', 'Type it like 2.')).toThrow('Type it like 2.')
    expect(() => numberIn('1,875', 'Type it like 2.')).toThrow(
      '“1,875” can mean 1875 or 1.875. Type the one you mean, like 1875 or 1.875.',
    )
  })
})
