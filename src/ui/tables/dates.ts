import dayjs from 'dayjs'
import relativeTime from 'dayjs/plugin/relativeTime'
import timezone from 'dayjs/plugin/timezone'
import utc from 'dayjs/plugin/utc'

dayjs.extend(utc)
dayjs.extend(timezone)
dayjs.extend(relativeTime)

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
/** A page says hundreds of dates, and a formatter is dear to make: one for each zone. */
const formatters = new Map<string, Intl.DateTimeFormat>()

/** A time on the studio's clock and calendar. */
function inZone(at: string | Date | number, zone: string) {
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      hourCycle: 'h23',
      weekday: 'short',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    })
    formatters.set(zone, formatter)
  }
  const of = Object.fromEntries(formatter.formatToParts(new Date(at)).map(({ type, value }) => [type, value]))
  const { year, month, day, hour, minute, weekday } = of as Record<Intl.DateTimeFormatPartTypes, string>
  return { year, month, day, hour, minute, weekday, date: Number(day), name: MONTHS[Number(month) - 1]! }
}

/** A date in the studio's zone: `3 Nov 2026`. */
export function day(at: string | Date, zone: string): string {
  const { date, name, year } = inZone(at, zone)
  return `${date} ${name} ${year}`
}
/** Date and time in the studio's zone: `3 Nov 2026, 14:05`. */
export function dayAndTime(at: string | Date | number, zone: string): string {
  const { date, name, year, hour, minute } = inZone(at, zone)
  return `${date} ${name} ${year}, ${hour}:${minute}`
}
/** How long ago, or how soon, seen from `now`: `3 days ago`. */
export const ago = (at: string | Date, now: Date) => dayjs(at).from(dayjs(now))

/** A pour that is fixed on a day begins then, in the studio's time. */
export const POURED_AT = '09:00'
/** What is due on a day is to be ready by then, in the studio's time. */
export const DUE_AT = '18:00'
/** A time of a day in the studio's zone, ms since 1970: `timeOn('2026-12-05', '18:00', zone)`. */
export const timeOn = (on: string, time: string, zone: string) => dayjs.tz(`${on} ${time}`, zone).valueOf()
/** The day a time falls on in the studio's zone: `2026-12-05`. */
export function dayOn(at: number, zone: string): string {
  const { year, month, day } = inZone(at, zone)
  return `${year}-${month}-${day}`
}
/** Day of the week in the studio's zone, 1 Monday … 7 Sunday. */
export const weekdayOf = (at: number, zone: string): number => WEEKDAYS.indexOf(inZone(at, zone).weekday) + 1

/** A short date in the studio's zone: `Thu 3 Dec`. */
export function shortDay(at: number, zone: string): string {
  const { weekday, date, name } = inZone(at, zone)
  return `${weekday} ${date} ${name}`
}
