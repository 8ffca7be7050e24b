import { dayOn, shortDay, timeOn, weekdayOf } from './dates'

describe('dates in the studio’s zone', () => {
  const late = Date.UTC(2026, 11, 5, 23, 30)
  it('a day is the day there', () => {
    expect(shortDay(late, 'UTC')).toBe('Sat 5 Dec')
    expect(shortDay(late, 'Europe/Amsterdam')).toBe('Sun 6 Dec')
    expect(dayOn(late, 'Europe/Amsterdam')).toBe('2026-12-06')
    expect([weekdayOf(late, 'UTC'), weekdayOf(late, 'Europe/Amsterdam')]).toEqual([6, 7])
  })
  it('a time of a day, in summer and in winter', () => {
    expect(timeOn('2026-12-05', '18:00', 'Europe/Amsterdam')).toBe(Date.UTC(2026, 11, 5, 17))
    expect(timeOn('2026-07-05', '18:00', 'Europe/Amsterdam')).toBe(Date.UTC(2026, 6, 5, 16))
  })
})
