import { isDryMoment, looksDueAfter, MOMENTS } from './looks'

const HOUR = 3_600_000

describe('looks', () => {
  it('are due after an hour, a day, when the film is dry, a month and a year', () => {
    const due = looksDueAfter(1000, 60)
    expect(due).toEqual({
      hour: 1000 + HOUR,
      day: 1000 + 24 * HOUR,
      dry: 1000 + 60 * HOUR,
      month: 1000 + 720 * HOUR,
      year: 1000 + 8760 * HOUR,
    })
    // A thin film is not asked for before the next day.
    expect(looksDueAfter(0, 8).dry).toBe(25 * HOUR)
  })
  it('see colours as they stay from dry on', () =>
    expect(MOMENTS.filter(isDryMoment)).toEqual(['dry', 'month', 'year']))
})
