import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { inspect } from 'node:util'
import { NextRequest } from 'next/server'
import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import type { Signed } from '@/db/people/sessions'
import { calls, newStudio, oneOfEverything, type Things } from '../support/everyAction'
import { admin, everything } from '../support/everything'
import { trial } from '../support/trial'
import { random } from '../support/random'
import { drawn } from '../support/thorough'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

jest.mock('@/db/base/withStudio', () =>
  jest.requireActual<typeof import('../support/trial')>('../support/trial').trialStudio(),
)

/** What is sent is bent on its way to the schema, by seeded chance; off while good things are made. */
const bend: { by?: (input: unknown) => unknown } = {}
jest.mock('@/server/answer', () => {
  const real = jest.requireActual<typeof import('@/server/answer')>('@/server/answer')
  return {
    ...real,
    checked: (schema: never, input: unknown) =>
      real.checked(schema, bend.by ? bend.by(input instanceof FormData ? Object.fromEntries(input) : input) : input),
  }
})
jest.mock('next/headers', () => ({ headers: async () => new Headers(), cookies: async () => new Map() }))

const as = (who: Signed) => (holder.token = who.token)

/** Seed and count of a run; FIKA_FUZZ asks for more, FIKA_SEED for others. */
const RUNS = Number(process.env.FIKA_FUZZ) || drawn(300, 1000)
const SEED = Number(process.env.FIKA_SEED) || 11

const next = random(SEED)
const below = (n: number) => Math.floor(next() * n)
const oneOf = <T>(list: readonly T[]): T => list[below(list.length)]!

/** What a stranger puts in the place of anything. */
const STRANGE: readonly (() => unknown)[] = [
  () => null,
  () => undefined,
  () => '',
  () => ' ',
  () => 'x'.repeat(oneOf([300, 20_000, 200_000])),
  () => 'a\u0000b',
  () => '\ud800',
  () => '\u0007\u001b[31m',
  () => "'; drop table movement; --",
  () => '<script>alert(1)</script>',
  () => '__proto__',
  () => '=1+1',
  () => '٣٫٥',
  () => '1e999',
  () => oneOf([-1, 0, 0.5, -0, 1e9, 2 ** 31, 2 ** 53, 2 ** 63, 1e18, 1e300, NaN, Infinity, -Infinity, 1e-300]),
  () => String(oneOf([-1, 1e18, '0x10', '1_000', '1,000.5'])),
  () => true,
  () => [],
  () => {},
  () => ({ length: 1e9 }),
  () => ['x'],
  () => [[[[[]]]]],
  () => Array.from({ length: 3000 }, (_, i) => i),
  () => uuidv7(),
  () => '00000000-0000-0000-0000-000000000000',
  () => new Date(8.64e15),
  () => 9n,
  () => JSON.parse('{"__proto__": {"isAdmin": true}, "constructor": {"prototype": {}}}') as unknown,
  () => Array.from({ length: 200 }).reduce((inner: unknown) => ({ deeper: inner }), 1),
]

/** Puts something strange in one place of what was good, leaves something out, or doubles it. */
function bent(value: unknown, chance = 0.5): unknown {
  if (typeof value !== 'object' || value === null || value instanceof File || next() < 0.1) return oneOf(STRANGE)()
  const keys = Object.keys(value)
  if (keys.length === 0) return oneOf(STRANGE)()
  const key = oneOf(keys)
  const inner = (value as Record<string, unknown>)[key]
  const put = next() < chance ? oneOf(STRANGE)() : bent(inner, 0.7)
  if (Array.isArray(value))
    return next() < 0.2 ? [...value, ...value] : value.map((v, i) => (String(i) === key ? put : (v as unknown)))
  if (next() < 0.1) return Object.fromEntries(Object.entries(value).filter(([k]) => k !== key))
  return { ...value, [key]: put }
}

describe(`bent requests, seed ${SEED}`, () => {
  let owner: Signed
  let things: Things
  let before: Record<string, string>
  beforeAll(async () => {
    await admin.connect()
    owner = await newStudio('Upper lock')
    as(owner)
    things = await oneOfEverything(owner)
    before = await everything(owner.studioId)
    jest.spyOn(console, 'error').mockImplementation(() => undefined)
    jest.spyOn(console, 'log').mockImplementation(() => undefined)
  })
  afterEach(() => {
    delete bend.by
    trial.on = false
  })
  afterAll(async () => {
    jest.restoreAllMocks()
    await admin.end()
    await endPool()
  })

  it('to every action are refused with a sentence or done, and what is taken back leaves nothing', async () => {
    const list = calls(things)
    const unexpected: string[] = []
    const told = new Set<string>()
    trial.on = true
    for (let i = 0; i < RUNS; i++) {
      const [name, , call] = list[i % list.length]!
      let sent: unknown
      bend.by = (input) => (sent = bent(input))
      const answer = await call()
      told.add(answer.ok ? 'done' : answer.code)
      if (!answer.ok && (answer.code === 'Unexpected' || answer.code === 'Busy' || answer.message.trim().length < 8))
        unexpected.push(
          `${name} ${inspect(sent)}: ${String((console.error as unknown as jest.Mock).mock.lastCall)}`.slice(0, 1500),
        )
    }
    expect(unexpected).toEqual([])
    // It was not all one refusal: the bending goes deep enough.
    expect([...told]).toEqual(expect.arrayContaining(['done', 'Invalid', 'NotFound']))
    expect(await everything(owner.studioId)).toEqual(before)
  }, 600_000)

  it('to every route are answered with no fault of ours', async () => {
    trial.on = true
    const app = join(process.cwd(), 'src/app')
    const files = readdirSync(app, { recursive: true, encoding: 'utf8' }).filter((f) => /route\.ts$/.test(f))
    expect(files.length).toBeGreaterThan(10)
    const faults: string[] = []
    const text = () => {
      const made = oneOf(STRANGE)()
      return typeof made === 'string' ? made.slice(0, 5000) : typeof made === 'object' ? 'x' : String(made)
    }
    const known = [things.bottle, things.eye, things.paintId, things.photo.id as string]
    for (let i = 0; i < RUNS / 4; i++) {
      const file = files[i % files.length]!
      // eslint-disable-next-line @typescript-eslint/no-require-imports
      const handlers = require(join(app, file)) as Partial<
        Record<'GET' | 'POST', (r: Request, c: object) => Promise<Response>>
      >
      const method = handlers.POST && (next() < 0.7 || !handlers.GET) ? 'POST' : 'GET'
      if (method === 'GET' && /(live|scale)\/route/.test(file)) continue
      const params = Promise.resolve({
        id: next() < 0.5 ? oneOf(known) : text(),
        format: next() < 0.7 ? oneOf(['csv', 'json', 'xlsx', 'cxf', 'gpl']) : text(),
      })
      const query = new URLSearchParams(
        ['ids', 'grid', 'from', 'chunk', 'q', 'body', 'as', 'by', 'role', 'max']
          .filter(() => next() < 0.4)
          .map((k) => [k, next() < 0.3 ? oneOf(known) : text()]),
      )
      const url = `http://127.0.0.1:4310/x?${query}`
      const good = {
        requestId: uuidv7(),
        after: 0,
        event: { kind: 'tare', grams: 3 },
        do: 'status',
        times: 2,
        label: 'A',
        role: 'pour',
        restHours: 2,
      }
      let body: string | undefined
      if (method === 'POST')
        try {
          body = next() < 0.2 ? text() : JSON.stringify(bent(good))
        } catch {
          body = '{'
        }
      const request = new NextRequest(url, { method, ...(body === undefined ? {} : { body }) })
      const said = await handlers[method]!(request, { params }).then(
        async (r) => ({ status: r.status, text: (await r.text()).slice(0, 400) }),
        // Next's own word for another page, or for none.
        (e: { digest?: string; message: string }) => ({ status: e.digest ? 404 : 500, text: e.message }),
      )
      if (said.status >= 500 || said.text.includes('could not do that'))
        faults.push(`${method} ${file} ${url} ${body?.slice(0, 400)}: ${said.status} ${said.text}`)
    }
    expect(faults).toEqual([])
    expect(await everything(owner.studioId)).toEqual(before)
  }, 600_000)
})
