// What npm run scale-out does with what it has started: news over both copies, writes while a copy is killed, and
// writes while the database is killed and its standby takes over.
import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import { person, signUp } from '../tests/support/accounts'
import { makeStudio } from '../tests/support/studio'
import { act, cookieOf, listen } from './http'

const BOTTLES = 12
const EACH_UL = 100
const FILL_UL = 5_000_000
/** How long a write is tried again, ms: as a page does that got no answer. */
const PATIENCE_MS = 60_000

interface Setting {
  readonly url: string
  readonly copies: readonly string[]
  /** Writes a second, and for how long in each part. */
  readonly rate: number
  readonly seconds: number
  killCopy(): Promise<void>
  /** Kills the database and has the standby take over. @returns how long that took, ms */
  killPrimary(): Promise<number>
}

interface Told {
  /** Requests that were acknowledged, each once. */
  readonly acknowledged: number
  /** Tries that got no answer and were made again. */
  readonly again: number
  readonly lost: number
  /** Longest time until one was acknowledged, ms. */
  readonly longestMs: number
}

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Runs the drill and says what it saw. @returns whether nothing was lost and nothing counted twice */
export async function drill(at: Setting): Promise<boolean> {
  const signed = await signUp({ ...person(), studioName: 'Two copies' })
  const room = await makeStudio(signed)
  const paint = await room.paint('Teal')
  const bottles = await Promise.all(
    Array.from({ length: BOTTLES }, (_, i) => room.bottle(`Teal ${i}`, [{ materialId: paint, ul: FILL_UL }])),
  )
  const cookie = await cookieOf(signed.token)

  /** One write, tried again under its one request id until it is acknowledged. */
  async function write(url: string): Promise<{ ok: boolean; again: number; ms: number }> {
    const input = { requestId: uuidv7(), vesselId: bottles[Math.floor(Math.random() * BOTTLES)], ul: EACH_UL }
    const from = performance.now()
    for (let again = 0; ; again++) {
      const said = await act(url, cookie, `/rack/${input.vesselId}`, 'takeOutAction', input).catch(() => undefined)
      const ms = performance.now() - from
      if (said?.answer.ok) return { ok: true, again, ms }
      if (ms > PATIENCE_MS) return { ok: false, again, ms }
      await wait(250)
    }
  }
  /** Writes at the rate asked for; half-way something happens. */
  async function part(name: string, halfway?: () => Promise<unknown>): Promise<Told> {
    const under: ReturnType<typeof write>[] = []
    const [began, count] = [performance.now(), at.rate * at.seconds]
    let meanwhile: Promise<unknown> = Promise.resolve()
    for (let i = 0; i < count; i++) {
      const due = began + (1000 * i) / at.rate - performance.now()
      if (due > 0) await wait(due)
      if (i === Math.floor(count / 2) && halfway) meanwhile = halfway()
      under.push(write(at.url))
    }
    const all = await Promise.all(under)
    await meanwhile
    const told = {
      acknowledged: all.filter((w) => w.ok).length,
      again: all.reduce((s, w) => s + w.again, 0),
      lost: all.filter((w) => !w.ok).length,
      longestMs: Math.max(...all.map((w) => w.ms)),
    }
    console.log(
      `${name}: ${told.acknowledged} of ${count} writes acknowledged, ${told.again} tries made again, ${told.lost} given up, the longest ${(told.longestMs / 1000).toFixed(1)} s`,
    )
    return told
  }

  // News on both, of what is written through either.
  const stop = new AbortController()
  const heard = at.copies.map(() => 0)
  for (const [i, copy] of at.copies.entries())
    await listen(
      `${at.url.replace(/:\d+$/, copy.match(/:\d+$/)![0])}/live`,
      cookie,
      stop.signal,
      () => (heard[i] = heard[i]! + 1),
    )
  let booked = 0
  const news: string[] = []
  for (const copy of at.copies) {
    const before = [...heard]
    booked += (await write(copy)).ok ? 1 : 0
    await wait(1_500)
    news.push(heard.every((h, i) => h > before[i]!) ? 'heard on both' : 'NOT heard on both')
  }
  stop.abort()
  console.log(`News of a write through the first copy: ${news[0]}; through the second: ${news[1]}`)

  const calm = await part('Both copies')
  const copyGone = await part('A copy killed (SIGKILL) half-way', () => at.killCopy())
  let tookOver = 0
  const baseGone = await part('The database killed half-way, the standby promoted', async () => {
    tookOver = await at.killPrimary()
  })
  const parts = [calm, copyGone, baseGone]
  booked += parts.reduce((s, p) => s + p.acknowledged, 0)
  const held = (await Promise.all(bottles.map((b) => room.holds(b)))).reduce((a, b) => a + b, 0)
  const taken = (BOTTLES * FILL_UL - held) / EACH_UL
  const movements = await room.run((tx) =>
    tx.q<{ n: number; requests: number }>(
      `select count(*)::int as n, count(distinct request_id)::int as requests from movement
       where studio_id = $1 and kind = 'take-out'`,
      [tx.studioId],
    ),
  )
  const lost = booked - taken
  console.log(`The standby took over in ${(tookOver / 1000).toFixed(1)} s`)
  console.log(
    `Acknowledged: ${booked}; in the books: ${taken} (${movements[0]!.n} movements of ${movements[0]!.requests} requests); lost: ${Math.max(0, lost)}, counted twice: ${Math.max(0, -lost)}`,
  )
  await endPool()
  return lost === 0 && parts.every((p) => p.lost === 0) && news.every((n) => n === 'heard on both')
}
