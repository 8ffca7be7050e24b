import { createHash } from 'node:crypto'
import { FikaError } from '@/core/errors'
import { pool } from '../base/pool'

/** What is counted at the door: under which key, how many tries are free, and the longest wait after them. */
interface Counted {
  readonly key: string
  readonly free: number
  readonly mostWaitS: number
}

/** Tries within this time of one another count together, s. Start values of Fika. */
const WINDOW_S = 3600
const QUARTER_S = 900

/**
 * Tries before a wait begins. A device that was in before has a count of its own, so that nobody else can use it up;
 * a stranger's are counted by address from one place, by place, and by address over all places. The last of these is
 * the hundred an hour of OWASP ASVS 4.0.3, 2.2.1.
 */
export const FREE_TRIES = { fromOnePlace: 8, place: 40, address: 100, signUps: 20, demo: 400 } as const

/** What tries to sign in are counted by. @param device an own device that knows the account */
export function signInCounts(emailKey: string, place: string, device?: string): Counted[] {
  if (device) return [{ key: `device ${device} ${emailKey}`, free: FREE_TRIES.fromOnePlace, mostWaitS: QUARTER_S }]
  return [
    { key: `both ${emailKey} ${place}`, free: FREE_TRIES.fromOnePlace, mostWaitS: QUARTER_S },
    { key: `place ${place}`, free: FREE_TRIES.place, mostWaitS: QUARTER_S },
    { key: `address ${emailKey}`, free: FREE_TRIES.address, mostWaitS: WINDOW_S },
  ]
}

/** What a door without a password is counted by. @param free how many an hour; the usual where nothing is configured */
export const openDoorCounts = (door: 'signUps' | 'demo', place: string, free: number = FREE_TRIES[door]): Counted[] => [
  { key: `${door} ${place}`, free, mostWaitS: WINDOW_S },
]

const hashed = (key: string) => createHash('sha256').update(key).digest('hex')

/**
 * Counts a try before anything is done for it, and refuses it while it has to wait. Counting and judging are one
 * statement, so that tries at the same moment cannot pass together. After the free ones the wait doubles from a second.
 * @throws FikaError TooOften
 */
export async function countTry(counts: readonly Counted[]): Promise<void> {
  for (const { key, free, mostWaitS } of counts) {
    const { rowCount } = await pool().query(
      // The clock and not the time of the statement's start: many wait here for one another.
      `insert into door_try as t (key, tries, next_at)
       values ($1, 1, clock_timestamp() + case when $2 <= 1 then interval '1 second' else interval '0' end)
       on conflict (key) do update set
         tries = case when t.at < clock_timestamp() - make_interval(secs => $4) then 1 else t.tries + 1 end,
         at = clock_timestamp(),
         next_at = clock_timestamp()
           + case when t.at < clock_timestamp() - make_interval(secs => $4) or t.tries + 1 < $2 then interval '0'
             else make_interval(secs => least($3::float8, 2 ^ least(20, t.tries + 1 - $2))) end
       where t.next_at <= clock_timestamp()`,
      [hashed(key), free, mostWaitS, WINDOW_S],
    )
    if (rowCount === 0) throw new FikaError('TooOften', await waitFor(hashed(key)))
  }
}

async function waitFor(key: string): Promise<string> {
  const { rows } = await pool().query<{ s: number }>(
    'select greatest(1, ceil(extract(epoch from next_at - clock_timestamp())))::int as s from door_try where key = $1',
    [key],
  )
  const s = rows[0]?.s ?? 1
  const wait = s < 100 ? `${s} ${s === 1 ? 'second' : 'seconds'}` : `${Math.ceil(s / 60)} minutes`
  return `Too many tries. Wait ${wait}, then try again.`
}

/** Takes back a try that was good: its own counts begin anew, and those it shares with others lose one. */
export async function forgiveTry(counts: readonly Counted[]): Promise<void> {
  const shared = (c: Counted) => /^(place|address) /.test(c.key)
  await pool().query('delete from door_try where key = any ($1)', [
    counts.filter((c) => !shared(c)).map((c) => hashed(c.key)),
  ])
  await pool().query(
    'update door_try set tries = greatest(0, tries - 1), next_at = least(next_at, clock_timestamp()) where key = any ($1)',
    [counts.filter(shared).map((c) => hashed(c.key))],
  )
  await pool().query(`delete from door_try where at < now() - interval '1 day'`)
}
