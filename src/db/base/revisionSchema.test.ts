import { revisionSchema } from './revisionSchema'

describe('which state of a thing was looked at', () => {
  it('is a whole number the database can keep', () => {
    expect(revisionSchema(1).isValidSync(1)).toBe(true)
    expect(revisionSchema(0).isValidSync(0)).toBe(true)
    for (const none of [0, 1.5, -1, 2 ** 31, 1e300, Number.NaN, Infinity])
      expect([none, revisionSchema(1).isValidSync(none)]).toEqual([none, false])
  })
})
