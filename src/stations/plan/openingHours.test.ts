import { openingHours } from './openingHours'

const room = { closedWeekdays: [7], celsius: 20, humidity: 0.5 }

describe('when the studio is open', () => {
  it('by its own days, in its own time zone', () => {
    const isOpen = openingHours(room, 'Europe/Amsterdam')
    // Sunday 6 December 2026 begins at 23:00 on Saturday in UTC.
    expect(isOpen(Date.UTC(2026, 11, 5, 22, 30))).toBe(true)
    expect(isOpen(Date.UTC(2026, 11, 5, 23, 30))).toBe(false)
    expect(isOpen(Date.UTC(2026, 11, 6, 22, 30))).toBe(false)
    expect(isOpen(Date.UTC(2026, 11, 6, 23, 30))).toBe(true)
  })
  it('always, where no day is closed', () => expect(openingHours({ ...room, closedWeekdays: [] }, 'UTC')(0)).toBe(true))
})
