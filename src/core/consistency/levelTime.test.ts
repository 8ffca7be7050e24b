import { bandOf, checkBands, START_BANDS, timed, trySigma } from './levelTime'

describe('level time', () => {
  it('is the middle of the tries, with how far they lie apart', () => {
    expect(timed([2.1, 1.9, 2])).toMatchObject({ levelTimeS: 2, tries: 3 })
    expect(timed([2.1, 1.9, 2]).spread).toBeCloseTo(0.1, 9)
    expect(timed([1, 4]).levelTimeS).toBeCloseTo(2, 9)
    expect(timed([1]).sigma).toBeCloseTo(Math.hypot(0.12, 0.15), 9)
    // A third of a second by hand may be half as much again.
    expect(timed([0.3]).sigma).toBeGreaterThan(0.5)
    expect(trySigma(8)).toBeLessThan(0.122)
    expect(timed([2, 2, 2]).sigma).toBeLessThan(timed([1.2, 2, 3]).sigma)
  })
  it('refuses what is no time', () => {
    expect(() => timed([])).toThrow('at least once')
    expect(() => timed([0])).toThrow('between 0 and 600')
    expect(() => timed([Infinity])).toThrow('between 0 and 600')
  })
  it('falls into the bands of the studio', () => {
    // The seconds are common practice, no published source.
    expect([9, 8, 7.9, 2, 1.99, 0.3, 0.1].map((t) => bandOf(t).name)).toEqual([
      'stands',
      'stands',
      'sits',
      'sinks',
      'melts',
      'traces',
      'vanishes',
    ])
    expect(
      bandOf(5, [
        { name: 'thick', fromS: 3 },
        { name: 'thin', fromS: 0 },
      ]).name,
    ).toBe('thick')
  })
  it('takes bands that fall to nothing only', () => {
    expect(checkBands(START_BANDS)).toBe(START_BANDS)
    expect(() => checkBands([{ name: 'a', fromS: 1 }])).toThrow('two bands')
    expect(() =>
      checkBands([
        { name: ' ', fromS: 1 },
        { name: 'b', fromS: 0 },
      ]),
    ).toThrow('a name')
    expect(() =>
      checkBands([
        { name: 'a', fromS: NaN },
        { name: 'b', fromS: 0 },
      ]),
    ).toThrow('as a number')
    expect(() =>
      checkBands([
        { name: 'a', fromS: 1 },
        { name: 'b', fromS: 1 },
      ]),
    ).toThrow('below “a”')
    expect(() =>
      checkBands([
        { name: 'a', fromS: 2 },
        { name: 'b', fromS: 1 },
      ]),
    ).toThrow('0 seconds')
  })
})
