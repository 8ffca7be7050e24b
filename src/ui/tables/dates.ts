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
