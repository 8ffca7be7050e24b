import dayjs from 'dayjs'
import relativeTime from 'dayjs/plugin/relativeTime'
import timezone from 'dayjs/plugin/timezone'
import utc from 'dayjs/plugin/utc'

dayjs.extend(utc)
dayjs.extend(timezone)
dayjs.extend(relativeTime)

/** A date in the studio's zone: `3 Nov 2026`. */
export const day = (at: string | Date, zone: string) => dayjs(at).tz(zone).format('D MMM YYYY')
/** Date and time in the studio's zone: `3 Nov 2026, 14:05`. */
export const dayAndTime = (at: string | Date | number, zone: string) => dayjs(at).tz(zone).format('D MMM YYYY, HH:mm')
/** How long ago, or how soon, seen from `now`: `3 days ago`. */
export const ago = (at: string | Date, now: Date) => dayjs(at).from(dayjs(now))

/** A pour that is fixed on a day begins then, in the studio's time. */
export const POURED_AT = '09:00'
/** What is due on a day is to be ready by then, in the studio's time. */
export const DUE_AT = '18:00'
/** A time of a day in the studio's zone, ms since 1970: `timeOn('2026-12-05', '18:00', zone)`. */
export const timeOn = (on: string, time: string, zone: string) => dayjs.tz(`${on} ${time}`, zone).valueOf()
/** The day a time falls on in the studio's zone: `2026-12-05`. */
export const dayOn = (at: number, zone: string) => dayjs(at).tz(zone).format('YYYY-MM-DD')
/** Day of the week in the studio's zone, 1 Monday … 7 Sunday. */
export const weekdayOf = (at: number, zone: string) => dayjs(at).tz(zone).day() || 7
/** Lists say hundreds of short dates, and a formatter is dear to make. */
const formatters = new Map<string, Intl.DateTimeFormat>()

/** A short date in the studio's zone: `Thu 3 Dec`. */
export function shortDay(at: number, zone: string): string {
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-US', { weekday: 'short', day: 'numeric', month: 'short', timeZone: zone })
    formatters.set(zone, formatter)
  }
  const parts = formatter.formatToParts(at)
  const of = (type: string) => parts.find((p) => p.type === type)!.value
  return `${of('weekday')} ${of('day')} ${of('month')}`
}
