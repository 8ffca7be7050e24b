import { NextRequest } from 'next/server'
import { v7 as uuidv7 } from 'uuid'
import { GET as mixing, POST as addToMixing } from '@/app/(studio)/bench/mixing/[id]/route'
import { POST as toBottle } from '@/app/(studio)/bench/mixing/[id]/bottle/route'
import { GET as live } from '@/app/(studio)/live/route'
import { GET as calendar } from '@/app/(studio)/rack/alerts/calendar/route'
import { GET as labels } from '@/app/(studio)/rack/labels/print/route'
import { GET as oneLabel } from '@/app/(studio)/rack/[id]/label/route'
import { GET as moreBottles } from '@/app/(studio)/rack/rows/route'
import { GET as weights, POST as askScale } from '@/app/(studio)/scale/route'
import { signUp } from '../support/accounts'
import { takeOut } from '@/db/ledger'
import { beginMixing } from '@/db/mixings/mixings'
import { endPool, pool } from '@/db/base/pool'
import { endSession, findSession, openSession } from '@/db/people/sessions'
import { startScale } from '@/devices/scale/standIn'
import { eventStream } from '@/server/events'
import { endLines, MOST_LINES } from '@/server/lines'
import type { ShelfBottle } from '@/stations/rack/find'
import { random } from '../support/random'
import { makeStudio } from '../support/studio'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/headers', () => ({ headers: async () => new Headers({ 'x-fika-origin': 'http://127.0.0.1:4310' }) }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/navigation', () => ({
  redirect: (to: string) => {
    throw Object.assign(new Error('to the door'), { digest: `NEXT_REDIRECT;push;${to};307;` })
  },
  notFound: () => {
    throw Object.assign(new Error('not found'), { digest: 'NEXT_HTTP_ERROR_FALLBACK;404' })
  },
}))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

afterAll(endPool)

async function room() {
  const signed = await signUp({
    name: 'Runa',
    email: `${uuidv7()}@example.org`,
    password: 'a long pass phrase',
    studioName: 'Upper lock',
  })
  holder.token = signed.token
  const studio = await makeStudio(signed)
  const teal = await studio.paint('Teal')
  return { signed, studio, teal, bottle: (label: string) => studio.bottle(label, [{ materialId: teal, ul: 50_000 }]) }
}
const at = (path: string) => new NextRequest(`http://127.0.0.1:4310${path}`, { headers: { host: '127.0.0.1:4310' } })
const post = (body: unknown) => new Request('http://127.0.0.1/x', { method: 'POST', body: JSON.stringify(body) })

/** What an event stream has said so far, and a way to go. */
function reader(response: Response, leave: AbortController) {
  let heard = ''
  const body = response.body!.getReader()
  const decoder = new TextDecoder()
  void (async () => {
    for (;;) {
      const { done, value } = await body.read()
      if (done) return
      heard += decoder.decode(value)
    }
  })()
  return {
    heard: () => heard,
    async until(what: string | RegExp) {
      for (let i = 0; i < 300; i++) {
        if (heard.search(what) >= 0) return
        await new Promise((resolve) => setTimeout(resolve, 10))
      }
      throw new Error(`never heard ${String(what)} in: ${heard.slice(-300)}`)
    },
    leave: () => leave.abort(),
  }
}

describe('the rack’s further rows', () => {
  it('come from a place on, as many as asked for, and to nobody who is not signed in', async () => {
    const { bottle } = await room()
    for (let i = 0; i < 5; i++) await bottle(`Ferry${i}`)
    const rows = async (query: string) => (await (await moreBottles(at(`/rack/rows${query}`))).json()) as ShelfBottle[]
    expect((await rows('?from=2&chunk=2')).map((b) => b.label)).toEqual(['Ferry2', 'Ferry1'])
    expect(await rows('?chunk=nonsense&sort=name')).toHaveLength(5)
    expect(await rows('?q=ferry4')).toMatchObject([{ label: 'Ferry4', ul: 50_000 }])
    delete holder.token
    expect((await moreBottles(at('/rack/rows'))).status).toBe(401)
  })
})

describe('labels', () => {
  it('come as PDF and as SVG, in the order asked for, and only of this studio', async () => {
    const { bottle } = await room()
    const [a, b] = [await bottle('First'), await bottle('Second')]
    const svg = await labels(at(`/rack/labels/print?ids=${b},${a}&grid=a4-24&as=svg`))
    expect(svg.headers.get('content-type')).toBe('image/svg+xml')
    const text = await svg.text()
    expect(text.indexOf('Second')).toBeLessThan(text.indexOf('First'))
    const pdf = await labels(at(`/rack/labels/print?ids=${a}&from=3`))
    expect(
      Buffer.from(await pdf.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-')
    const one = await oneLabel(at(`/rack/${a}/label`), { params: Promise.resolve({ id: a }) })
    expect(one.headers.get('content-type')).toBe('application/pdf')
    await room()
    expect(await (await labels(at(`/rack/labels/print?ids=${a}&as=svg`))).text()).not.toContain('First')
    await expect(oneLabel(at('/x'), { params: Promise.resolve({ id: a }) })).rejects.toThrow('not found')
    await expect(oneLabel(at('/x'), { params: Promise.resolve({ id: 'nonsense' }) })).rejects.toThrow('not found')
  })
})

describe('the calendar', () => {
  it('holds the rest that ends and the date it keeps to, of bottles that hold something', async () => {
    const { studio, bottle } = await room()
    const [a, empty] = [await bottle('Night teal'), await bottle('Gone')]
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: empty, ul: 50_000 }))
    const response = await calendar()
    expect(response.headers.get('content-type')).toContain('text/calendar')
    const text = await response.text()
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(2)
    expect(text).toContain('Night teal has rested')
    expect(text.replace(/\r\n /g, '')).toContain(`http://127.0.0.1:4310/rack/${a}`)
    expect(text).not.toContain('Gone')
  })
})

describe('a mix over its address', () => {
  it('is read, gone on with, and refused in one sentence where it cannot be', async () => {
    const { studio } = await room()
    const id = uuidv7()
    const params = Promise.resolve({ id })
    await studio.run((tx) => beginMixing(tx, { id, kind: 'by eye', plan: { label: '' } }))
    const json = async (response: Response) => (await response.json()) as Record<string, unknown>
    expect(await json(await mixing(at('/x'), { params }))).toMatchObject({ ok: true, value: { id, revision: 0 } })
    const tare = { requestId: uuidv7(), after: 0, event: { kind: 'tare', grams: 30 } }
    expect(await json(await addToMixing(post(tare), { params }))).toMatchObject({ ok: true, value: { revision: 1 } })
    expect(await json(await addToMixing(post({ ...tare, requestId: uuidv7() }), { params }))).toMatchObject({
      ok: false,
      code: 'Conflict',
    })
    expect(
      await json(await addToMixing(new Request('http://x', { method: 'POST', body: 'nonsense' }), { params })),
    ).toMatchObject({ ok: false, code: 'Invalid' })
    expect(await json(await toBottle(post({ label: 'A', role: 'pour', restHours: 2 }), { params }))).toMatchObject({
      ok: false,
      message: expect.stringMatching('Nothing has been poured yet'),
    })
    for (const other of [Promise.resolve({ id: 'nonsense' }), Promise.resolve({ id: uuidv7() })]) {
      expect(await json(await mixing(at('/x'), { params: other }))).toMatchObject({ ok: false, code: 'NotFound' })
      expect(
        await json(await toBottle(post({ label: 'A', role: 'pour', restHours: 2 }), { params: other })),
      ).toMatchObject({ code: 'NotFound' })
    }
    delete holder.token
    expect(await json(await mixing(at('/x'), { params }))).toMatchObject({ ok: false, code: 'SignedOut' })
    expect(await json(await addToMixing(post(tare), { params }))).toMatchObject({ ok: false, code: 'SignedOut' })
  })
})

describe('news', () => {
  it('reach a device as they are committed, of its own studio, until it leaves', async () => {
    const { studio, bottle } = await room()
    const id = await bottle('A')
    const leave = new AbortController()
    const news = reader(await live(new Request('http://x', { signal: leave.signal })), leave)
    await news.until(': here')
    await news.until('"everything"')
    const before = news.heard().length
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: id, ul: 1_000 }))
    for (let i = 0; i < 100 && news.heard().length === before; i++) await new Promise((r) => setTimeout(r, 10))
    expect(news.heard().slice(before)).toContain('"rack"')
    news.leave()
    delete holder.token
    expect((await live(new Request('http://x'))).status).toBe(401)
  })
  it('end on both sides, whoever goes first', async () => {
    await room()
    const who = (await findSession(holder.token!))!
    const leave = new AbortController()
    let stopped = 0
    const response = await eventStream(new Request('http://x', { signal: leave.signal }), who, (send) => {
      send({ n: 1 })
      return () => stopped++
    })
    expect(response.headers.get('cache-control')).toContain('no-transform')
    leave.abort()
    leave.abort()
    expect(stopped).toBe(1)
    const second = await eventStream(new Request('http://x'), who, () => () => stopped++)
    await second.body!.cancel()
    expect(stopped).toBe(2)
  })
  it('end at once with their session, on whatever device it was ended; others go on', async () => {
    await room()
    const mine = holder.token!
    const who = (await findSession(mine))!
    holder.token = (await openSession(who.accountId, who.studioId)).token
    const leave = new AbortController()
    const kept = reader(await live(new Request('http://x', { signal: leave.signal })), leave)
    holder.token = mine
    const response = await live(new Request('http://x'))
    const ended = response.text().then(() => 'ended')
    await kept.until('"everything"')
    await endSession(mine)
    expect(await Promise.race([ended, new Promise((r) => setTimeout(r, 3000, 'still open'))])).toBe('ended')
    expect(kept.heard()).not.toContain(who.sessionId)
    kept.leave()
  })
  it('are a handful a session: the oldest ends for one too many, and asking for headers alone opens none', async () => {
    await room()
    const who = (await findSession(holder.token!))!
    const stopped: number[] = []
    const open = (n: number) => eventStream(new Request('http://x'), who, () => () => stopped.push(n))
    for (let n = 0; n < MOST_LINES; n++) await open(n)
    expect(stopped).toEqual([])
    const head = await live(new Request('http://x', { method: 'HEAD' }))
    expect([head.status, head.body]).toEqual([200, null])
    expect(stopped).toEqual([])
    await open(MOST_LINES)
    expect(stopped).toEqual([0])
    endLines()
    expect(stopped).toHaveLength(MOST_LINES + 1)
  })
  it('go on when somebody writes nonsense into the channel', async () => {
    const { studio, bottle } = await room()
    const id = await bottle('A')
    const leave = new AbortController()
    const news = reader(await live(new Request('http://x', { signal: leave.signal })), leave)
    await news.until('"everything"')
    const error = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    for (const strange of ['{', '7', 'null', '{"studio":1}'])
      await pool().query(`select pg_notify('fika_change', $1)`, [strange])
    const before = news.heard().length
    await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: id, ul: 1_000 }))
    for (let i = 0; i < 100 && news.heard().length === before; i++) await new Promise((r) => setTimeout(r, 10))
    expect(news.heard().slice(before)).toContain('"rack"')
    expect(error).toHaveBeenCalledTimes(4)
    error.mockRestore()
    news.leave()
  })
})

describe('the scale over its address', () => {
  it('says what it weighs, and does what only the stand-in can', async () => {
    await room()
    const scale = await startScale({ port: 0, random: random(4), clock: Date.now, rate: 30 })
    process.env.FIKA_SCALE = `127.0.0.1:${scale.port}`
    const leave = new AbortController()
    try {
      const news = reader(await weights(new Request('http://x', { signal: leave.signal })), leave)
      await news.until('"here"')
      const asked = await (await askScale(post({ do: 'place', grams: 50 }))).json()
      expect(asked).toEqual({ ok: true, value: null })
      await news.until(/"grams":(49\.9|50)/)
      expect(await (await askScale(post({ do: 'dance' }))).json()).toMatchObject({ ok: false, code: 'Invalid' })
      news.leave()
      // With nobody listening there is no line.
      expect(await (await askScale(post({ do: 'tare' }))).json()).toMatchObject({ ok: false, code: 'Device' })
      delete holder.token
      expect((await weights(new Request('http://x'))).status).toBe(401)
      expect(await (await askScale(post({ do: 'tare' }))).json()).toMatchObject({ ok: false, code: 'SignedOut' })
    } finally {
      leave.abort()
      delete process.env.FIKA_SCALE
      await scale.close()
    }
  })
})
