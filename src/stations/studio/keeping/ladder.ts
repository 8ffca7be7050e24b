import dayjs from 'dayjs'
import utc from 'dayjs/plugin/utc'
import isoWeek from 'dayjs/plugin/isoWeek'

dayjs.extend(utc)
dayjs.extend(isoWeek)

/** What a back-up is kept for, and how many of each. */
const RUNGS = [
  { name: 'Days', unit: 'day', start: 'day', most: 7 },
  { name: 'Weeks', unit: 'week', start: 'isoWeek', most: 4 },
  { name: 'Months', unit: 'month', start: 'month', most: 12 },
] as const

export interface Rung {
  readonly name: string
  /** This day, week or month first, going back; the newest back-up of each, null where there is none. */
  readonly places: readonly (string | null)[]
}

/** Back-ups by the days, weeks and months they stand for. Times in UTC, as they are thinned out by. */
export function ladderOf(at: readonly string[], now: Date): Rung[] {
  const newestFirst = [...at].sort().reverse()
  return RUNGS.map(({ name, unit, start, most }) => ({
    name,
    places: Array.from({ length: most }, (_, back) => {
      const from = dayjs.utc(now).startOf(start).subtract(back, unit)
      const to = from.add(1, unit)
      return newestFirst.find((t) => !dayjs.utc(t).isBefore(from) && dayjs.utc(t).isBefore(to)) ?? null
    }),
  }))
}
