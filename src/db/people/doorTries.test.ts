import { createHash } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import { endPool, pool } from '@/db/base/pool'
import { countTry, forgiveTry, openDoorCounts, signInCounts } from './doorTries'

afterAll(endPool)

const hashed = (key: string) => createHash('sha256').update(key).digest('hex')
const row = async (key: string) =>
  (
    await pool().query<{ tries: number; wait: number }>(
      'select tries, round(extract(epoch from next_at - at))::int as wait from door_try where key = $1',
      [hashed(key)],
    )
  ).rows[0]
/** Lets time go by for one key. */
const later = (key: string, seconds: number) =>
  pool().query(
    'update door_try set at = at - make_interval(secs => $2), next_at = next_at - make_interval(secs => $2) where key = $1',
    [hashed(key), seconds],
  )

describe('counting tries', () => {
  it('waits twice as long each time once the free ones are used up, to a bound, and begins anew after an hour', async () => {
    const key = uuidv7()
    const counts = [{ key, free: 3, mostWaitS: 6 }]
    const waits: number[] = []
    for (let i = 0; i < 6; i++) {
      await countTry(counts)
      waits.push((await row(key))!.wait)
      await later(key, 7)
    }
    expect(waits).toEqual([0, 0, 1, 2, 4, 6])
    await countTry(counts)
    await expect(countTry(counts)).rejects.toThrow('Too many tries. Wait 6 seconds, then try again.')
    await later(key, 3601)
    await countTry(counts)
    expect(await row(key)).toEqual({ tries: 1, wait: 0 })
  })
  it('says long waits in minutes', async () => {
    const counts = [{ key: uuidv7(), free: 1, mostWaitS: 900 }]
    for (let i = 0; i < 9; i++) {
      await countTry(counts)
      await later(counts[0]!.key, 300)
    }
    await countTry(counts)
    await expect(countTry(counts)).rejects.toThrow(/Wait 9 minutes/)
  })
  it('lets as many pass as are free when sixty come at once', async () => {
    const counts = [{ key: uuidv7(), free: 8, mostWaitS: 900 }]
    const tries = await Promise.allSettled(Array.from({ length: 60 }, () => countTry(counts)))
    expect(tries.filter((t) => t.status === 'fulfilled')).toHaveLength(8)
  })
  it('takes a good one back: one’s own count is gone, what is shared with others loses one', async () => {
    const counts = signInCounts(`a-${uuidv7()}@example.org`, uuidv7())
    for (let i = 0; i < 3; i++) await countTry(counts)
    await forgiveTry(counts)
    expect(await Promise.all(counts.map(async ({ key }) => (await row(key))?.tries))).toEqual([undefined, 2, 2])
  })
  it('counts an own device by itself, and every open door by its place', () => {
    const [own, ...none] = signInCounts('a@example.org', 'here', 'device 7')
    expect(none).toEqual([])
    expect(own!.key).toContain('device 7')
    expect(openDoorCounts('demo', 'here')[0]!.key).not.toBe(openDoorCounts('signUps', 'here')[0]!.key)
    expect(openDoorCounts('signUps', 'here', 3)[0]!.free).toBe(3)
  })
})
