import dayjs from 'dayjs'
import timezone from 'dayjs/plugin/timezone'
import utc from 'dayjs/plugin/utc'
import { day, dayAndTime, dayOn, shortDay, timeOn, weekdayOf } from './dates'

dayjs.extend(utc)
dayjs.extend(timezone)

const ZONES = ['UTC', 'Europe/Oslo', 'America/St_Johns', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'Pacific/Kiritimati']

describe('dates in the zone of a studio', () => {
  it('are those of a general library for dates, through both changes of the clock and the turn of a year', () => {
    const from = Date.UTC(2026, 0, 1)
    for (const zone of ZONES)
      for (let i = 0; i < 150; i++) {
        // About every two and a half days, never at the same minute.
        const at = from + i * 212_777_000
        const there = dayjs(at).tz(zone)
        expect([zone, day(new Date(at), zone)]).toEqual([zone, there.format('D MMM YYYY')])
        expect(dayAndTime(at, zone)).toBe(there.format('D MMM YYYY, HH:mm'))
        expect(dayOn(at, zone)).toBe(there.format('YYYY-MM-DD'))
        expect(weekdayOf(at, zone)).toBe(there.day() || 7)
        expect(shortDay(at, zone)).toBe(there.format('ddd D MMM'))
      }
  })
  it('midnight is the hour nought of the day that begins', () => {
    expect(dayAndTime('2026-12-31T23:00:00Z', 'Europe/Oslo')).toBe('1 Jan 2027, 00:00')
    expect(timeOn('2027-01-01', '00:00', 'Europe/Oslo')).toBe(Date.UTC(2026, 11, 31, 23))
  })
})
