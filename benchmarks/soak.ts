// Two hundred devices listen while fifty writes a second come in, for two minutes: how soon they are answered, whether
// any is refused, whether the books hold afterwards what was sent, and what the app weighs. Called by npm run soak.
import { readFileSync } from 'node:fs'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import { openSession } from '@/db/people/sessions'
import { person, signUp } from '../tests/support/accounts'
import { makeStudio } from '../tests/support/studio'
import { act, cookieOf, listen } from './http'
import { numberAfter } from './measure'

const url = process.env.FIKA_URL!
const [LISTENERS, RATE, SECONDS] = [
  numberAfter('--listeners', 200),
  numberAfter('--rate', 50),
  numberAfter('--seconds', 120),
]
/** Lines one session holds; the server takes a few more. */
const LINES_EACH = 8
const BOTTLES = 25
const EACH_UL = 1_000

/** Memory of the app's process, MB. */
function appMb(): number {
  const kb = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${process.env.FIKA_APP_PID}/status`, 'utf8'))?.[1]
  return Number(kb) / 1024
}
const share = (sorted: readonly number[], p: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(p * sorted.length))]!

const signed = await signUp({ ...person(), studioName: 'Many devices' })
const room = await makeStudio(signed)
const paint = await room.paint('Teal')
const fill = Math.ceil((RATE * SECONDS * EACH_UL) / BOTTLES) * 2 + 100_000
const bottles = await Promise.all(
  Array.from({ length: BOTTLES }, (_, i) => room.bottle(`Teal ${i}`, [{ materialId: paint, ul: fill }])),
)
const stop = new AbortController()
let news = 0
for (let i = 0; i < LISTENERS; i += LINES_EACH) {
  const { token } = await openSession(signed.accountId, signed.studioId)
  const cookie = await cookieOf(token)
  const lines = Math.min(LINES_EACH, LISTENERS - i)
  await Promise.all(Array.from({ length: lines }, () => listen(`${url}/live`, cookie, stop.signal, () => news++)))
}
/** What the database does, twice a second: which waits were seen while more than a few requests were under way. */
const admin = new pg.Client({ connectionString: process.env.FIKA_ADMIN_DATABASE })
await admin.connect()
/** Of ten seconds each: how long answers took, what was waited for and how late this process itself came to run, ms. */
interface Tenth {
  readonly took: number[]
  readonly waits: Map<string, number>
  late: number
  mb: number
}
const tenths: Tenth[] = []
const tenth = (): Tenth =>
  (tenths[Math.floor((performance.now() - began) / 10_000)] ??= { took: [], waits: new Map(), late: 0, mb: 0 })
async function watch(): Promise<void> {
  let due = performance.now() + 500
  while (!stop.signal.aborted) {
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, due - performance.now())))
    const t = tenth()
    t.late = Math.max(t.late, performance.now() - due)
    due = performance.now() + 500
    t.mb = appMb()
    const { rows } = await admin.query<{ what: string; n: number }>(
      `select coalesce(wait_event_type || ' ' || wait_event, 'works') as what, count(*)::int as n from pg_stat_activity
       where usename = 'fika_app' and state <> 'idle' group by 1`,
    )
    if (rows.reduce((sum, r) => sum + r.n, 0) > 3)
      for (const { what, n } of rows) t.waits.set(what, (t.waits.get(what) ?? 0) + n)
  }
}
let began = performance.now()
const cookie = await cookieOf(signed.token)
const refused = new Map<string, number>()
let bytes = 0
let done = 0
const write = async () => {
  const vesselId = bottles[Math.floor(Math.random() * BOTTLES)]!
  const from = performance.now()
  const why = await act(url, cookie, `/rack/${vesselId}`, 'takeOutAction', {
    requestId: uuidv7(),
    vesselId,
    ul: EACH_UL,
  }).then(
    (a) => ((bytes += a.bytes), a.answer.ok ? '' : a.answer.message),
    (error: Error) => error.message,
  )
  tenth().took.push(performance.now() - from)
  if (why) refused.set(why, (refused.get(why) ?? 0) + 1)
  else done += 1
}
// The first ones make the app load what it needs.
for (let i = 0; i < 20; i++) await write()
const early = appMb()
const under: Promise<void>[] = []
began = performance.now()
tenths.length = 0
const watching = watch()
for (let i = 0; i < RATE * SECONDS; i++) {
  const due = began + (1000 * i) / RATE
  const wait = due - performance.now()
  if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait))
  under.push(write())
}
await Promise.all(under)
const took = (performance.now() - began) / 1000
stop.abort()
await watching
await admin.end()
/** The three slowest tens of seconds, and what was waited for in them. */
function worst(): string[] {
  const slow = tenths.map((t, i) => ({ i, ...t, most: Math.max(0, ...t.took) })).sort((a, b) => b.most - a.most)
  return slow.slice(0, 3).map(({ i, took, most, late, waits }) => {
    const seen = [...waits].sort((a, b) => b[1] - a[1]).slice(0, 5)
    const middle = share(
      [...took].sort((a, b) => a - b),
      0.5,
    )
    return `  ${10 * i} – ${10 * i + 10} s: ${took.length} answered, p50 ${middle.toFixed(0)} ms, at most ${most.toFixed(0)} ms; this process itself up to ${late.toFixed(0)} ms late; ${seen.map(([what, n]) => `${n} × ${what}`).join(', ') || 'the database never had more than three under way'}`
  })
}
const sorted = tenths.flatMap((t) => t.took).sort((a, b) => a - b)
const held = (await Promise.all(bottles.map((b) => room.holds(b)))).reduce((a, b) => a + b, 0)
const missing = BOTTLES * fill - held - done * EACH_UL
console.log(
  [
    `${LISTENERS} listeners, ${RATE} writes a second for ${SECONDS} s: ${done} done in ${took.toFixed(1)} s, ${[...refused.values()].reduce((a, b) => a + b, 0)} refused`,
    `answered after p50 ${share(sorted, 0.5).toFixed(0)} ms, p95 ${share(sorted, 0.95).toFixed(0)} ms, p99 ${share(sorted, 0.99).toFixed(0)} ms, at most ${sorted.at(-1)!.toFixed(0)} ms (aim: p50 < 150 ms, p99 < 1 s)`,
    `an answer of ${Math.round(bytes / Math.max(1, done))} bytes; ${news} pieces of news heard`,
    `memory of the app ${early.toFixed(0)} MB at first, and by the half minute ${tenths.flatMap(({ mb }, i) => (i % 3 === 2 ? mb.toFixed(0) : [])).join(', ')} MB`,
    ...worst(),
    `missing from the books: ${missing} µl`,
    ...[...refused].map(([why, n]) => `${n} × ${why}`),
  ].join('\n'),
)
await endPool()
process.exit(missing === 0 && refused.size === 0 ? 0 : 1)
