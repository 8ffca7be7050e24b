// Two hundred devices listen while fifty writes a second come in, for two minutes: how soon they are answered, whether
// any is refused, whether the books hold afterwards what was sent, and what the app weighs. Called by npm run soak.
import { readFileSync } from 'node:fs'
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
const cookie = await cookieOf(signed.token)
const times: number[] = []
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
  times.push(performance.now() - from)
  if (why) refused.set(why, (refused.get(why) ?? 0) + 1)
  else done += 1
}
// The first ones make the app load what it needs.
for (let i = 0; i < 20; i++) await write()
times.length = 0
const early = appMb()
const under: Promise<void>[] = []
const began = performance.now()
let middle = 0
for (let i = 0; i < RATE * SECONDS; i++) {
  const due = began + (1000 * i) / RATE
  const wait = due - performance.now()
  if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait))
  if (i === Math.floor((RATE * SECONDS) / 2)) middle = appMb()
  under.push(write())
}
await Promise.all(under)
const took = (performance.now() - began) / 1000
stop.abort()
const sorted = [...times].sort((a, b) => a - b)
const held = (await Promise.all(bottles.map((b) => room.holds(b)))).reduce((a, b) => a + b, 0)
const missing = BOTTLES * fill - held - done * EACH_UL
console.log(
  [
    `${LISTENERS} listeners, ${RATE} writes a second for ${SECONDS} s: ${done} done in ${took.toFixed(1)} s, ${[...refused.values()].reduce((a, b) => a + b, 0)} refused`,
    `answered after p50 ${share(sorted, 0.5).toFixed(0)} ms, p95 ${share(sorted, 0.95).toFixed(0)} ms, p99 ${share(sorted, 0.99).toFixed(0)} ms, at most ${sorted.at(-1)!.toFixed(0)} ms (aim: p50 < 150 ms, p99 < 1 s)`,
    `an answer of ${Math.round(bytes / Math.max(1, done))} bytes; ${news} pieces of news heard`,
    `memory of the app ${early.toFixed(0)} MB at first, ${middle.toFixed(0)} MB half-way, ${appMb().toFixed(0)} MB at the end`,
    `missing from the books: ${missing} µl`,
    ...[...refused].map(([why, n]) => `${n} × ${why}`),
  ].join('\n'),
)
await endPool()
process.exit(missing === 0 && refused.size === 0 ? 0 : 1)
