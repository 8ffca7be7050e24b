import {
  createServer,
  request as httpRequest,
  type IncomingMessage,
  type RequestListener,
  type Server,
} from 'node:http'
import { connect, type AddressInfo } from 'node:net'
import { endLines, holdLine } from '@/server/lines'
import { allowedFrom } from './allowed'
import { frontOf, serve } from './serve'

/** What the app behind the front got to see of one request. */
interface Seen {
  readonly headers: IncomingMessage['headers']
  readonly bytes: number
}

let server: Server
let port: number
const seen: Seen[] = []
let knownFor = 'sealed'

const app: RequestListener = (request, response) => {
  let bytes = 0
  request.on('data', (d: Buffer) => (bytes += d.length))
  request.on('end', () => {
    seen.push({ headers: request.headers, bytes })
    response.end('the app')
  })
}

/** Starts a front before the app above, as configured. */
async function front(env: Record<string, string> = {}) {
  server = createServer()
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  port = (server.address() as AddressInfo).port
  server.on(
    'request',
    frontOf(app, allowedFrom(env, port), async (cookies) => cookies.includes(knownFor)),
  )
}
beforeEach(() => {
  seen.length = 0
  knownFor = 'sealed'
})
afterEach(() => new Promise<void>((resolve) => (server.close(() => resolve()), server.closeAllConnections())))

interface Ask {
  method?: string
  path?: string
  headers?: Record<string, string>
  body?: Buffer | string
  /** Sends the body in pieces, without saying how long it is. */
  pieces?: boolean
}
const ask = ({ method = 'GET', path = '/rack', headers = {}, body, pieces }: Ask) =>
  new Promise<{ status: number; headers: IncomingMessage['headers']; text: string }>((resolve, reject) => {
    const length = body !== undefined && !pieces ? { 'content-length': String(Buffer.byteLength(body)) } : {}
    const sent = httpRequest({ host: '127.0.0.1', port, method, path, headers: { ...length, ...headers } }, (r) => {
      let text = ''
      r.on('data', (d: Buffer) => (text += d.toString()))
      r.on('end', () => resolve({ status: r.statusCode!, headers: r.headers, text }))
      r.on('error', reject)
    })
    sent.on('error', reject)
    if (pieces) sent.flushHeaders()
    sent.end(body)
  })
const own = () => `http://127.0.0.1:${port}`

describe('who asks', () => {
  it('must call this server by an address of its own', async () => {
    await front({ FIKA_ORIGIN: 'https://fika.example' })
    for (const host of [`127.0.0.1:${port}`, `localhost:${port}`, 'fika.example', 'FIKA.example'])
      expect([host, (await ask({ headers: { host } })).status]).toEqual([host, 200])
    for (const host of ['evil.example', `evil.example:${port}`, '127.0.0.1:1', 'fika.example.evil.example']) {
      const said = await ask({ headers: { host } })
      expect([host, said.status]).toEqual([host, 421])
    }
  })
  it.each(['POST', 'PUT', 'DELETE', 'PATCH'])('%s is taken from a page of this server alone', async (method) => {
    await front()
    const from = async (headers: Record<string, string>) => (await ask({ method, headers })).status
    expect(await from({ origin: own() })).toBe(200)
    expect(await from({ origin: own(), 'sec-fetch-site': 'same-origin' })).toBe(200)
    expect(await from({})).toBe(403)
    expect(await from({ origin: 'null' })).toBe(403)
    expect(await from({ origin: 'https://evil.example' })).toBe(403)
    expect(await from({ origin: 'https://evil.example', 'x-forwarded-host': 'evil.example' })).toBe(403)
    expect(await from({ origin: own(), 'sec-fetch-site': 'cross-site' })).toBe(403)
    // Another name of the same machine is another site.
    expect(await from({ origin: `http://localhost:${port}` })).toBe(403)
    expect(seen).toHaveLength(2)
  })
  it('is known by the socket; what a browser says of itself is dropped', async () => {
    await front()
    await ask({
      headers: {
        'x-forwarded-for': '10.9.8.7',
        'x-forwarded-proto': 'javascript:alert(1)',
        'x-fika-from': '1.2.3.4',
        forwarded: 'for=1.2.3.4',
        'x-fika-origin': 'https://evil.example',
      },
    })
    expect(seen[0]!.headers).toMatchObject({
      'x-fika-from': '127.0.0.1',
      'x-fika-origin': own(),
      'x-forwarded-proto': 'http',
    })
    expect(seen[0]!.headers['x-forwarded-for']).toBeUndefined()
    expect(seen[0]!.headers.forwarded).toBeUndefined()
  })
  it('comes through a configured proxy as that proxy says, and no farther than its own word goes', async () => {
    await front({ FIKA_ORIGIN: 'https://fika.example', FIKA_PROXIES: '127.0.0.1 10.0.0.2' })
    const through = {
      host: 'inside',
      'x-forwarded-host': 'fika.example',
      'x-forwarded-for': '6.6.6.6, 203.0.113.9, 10.0.0.2',
    }
    expect((await ask({ headers: through })).headers['strict-transport-security']).toMatch(/^max-age=\d{7,}/)
    expect(seen[0]!.headers).toMatchObject({
      'x-fika-from': '203.0.113.9',
      'x-fika-origin': 'https://fika.example',
      host: 'fika.example',
    })
    await ask({ headers: { ...through, 'x-forwarded-for': `nonsense ${'9'.repeat(6000)}` } })
    expect(seen[1]!.headers['x-fika-from']).toBe('127.0.0.1')
  })
  it('of an address that is none is told so, and the server goes on', async () => {
    await front()
    const raw = (line: string) =>
      new Promise<string>((resolve, reject) => {
        const socket = connect(port, '127.0.0.1', () =>
          socket.write(`GET ${line} HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nConnection: close\r\n\r\n`),
        )
        let text = ''
        socket.on('data', (d) => (text += d.toString()))
        socket.on('close', () => resolve(text))
        socket.on('error', reject)
      })
    for (const line of [
      '//',
      '//evil.example/rack',
      'http://[',
      'http://',
      '/\\\\',
      '/%',
      '/..%2f..%2fetc/passwd',
      '*',
      '/?\u0001',
    ])
      expect(await raw(line)).toMatch(/^HTTP\/1\.1 (400|200) /)
    expect((await ask({})).status).toBe(200)
  })
  it('is read from a configuration that is checked', () => {
    for (const FIKA_ORIGIN of [
      'fika.example',
      'ftp://fika.example',
      'https://fika.example/path',
      'javascript:alert(1)',
    ])
      expect(() => allowedFrom({ FIKA_ORIGIN }, 1)).toThrow('Write whole addresses')
    expect(() => allowedFrom({ FIKA_PROXIES: 'proxy.example' }, 1)).toThrow('Write network addresses')
    expect([
      ...allowedFrom({ FIKA_ORIGIN: 'https://fika.example/, http://studio.example:8080' }, 4310).hosts.keys(),
    ]).toEqual(['fika.example', 'studio.example:8080', '127.0.0.1:4310', 'localhost:4310', '[::1]:4310'])
  })
})

describe('a body', () => {
  const json = () => ({ 'content-type': 'application/json', origin: own(), cookie: 'fika=sealed' })
  const limits: readonly [path: string, most: number][] = [
    ['/sign-in', 16_000],
    ['/scale', 256_000],
    ['/bench/mixing/7', 256_000],
    ['/rack', 256_000],
    ['/paints/import/run', 10_000_000],
    ['/wall/7', 20_000_000],
    ['/plan/7/rehearse', 5_000_000],
    ['/join/7', 16_000],
    ['/plan/7', 256_000],
  ]
  it.each(limits)('to %s is taken up to %d bytes, whole or in pieces, and refused beyond', async (path, most) => {
    await front()
    for (const pieces of [false, true]) {
      expect((await ask({ method: 'POST', path, headers: json(), body: Buffer.alloc(most), pieces })).status).toBe(200)
      expect(seen.at(-1)!.bytes).toBe(most)
      const over = await ask({ method: 'POST', path, headers: json(), body: Buffer.alloc(most + 1), pieces }).catch(
        (e: Error & { code: string }) => e,
      )
      // The line may be cut before all of it was sent: either way nothing of it reached the app.
      if (!(over instanceof Error)) {
        expect(over.status).toBe(413)
        expect(JSON.parse(over.text)).toMatchObject({ ok: false, message: expect.stringMatching(/^.{20,}\.$/) })
      } else expect(['ECONNRESET', 'EPIPE']).toContain(over.code)
      expect(seen.filter((s) => s.bytes > most)).toEqual([])
    }
  })
  it('of three hundred megabytes is refused before it is sent', async () => {
    await front()
    const said = await new Promise<string>((resolve, reject) => {
      const line = connect(port, '127.0.0.1', () =>
        line.write(
          `POST /scale HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nOrigin: ${own()}\r\nCookie: fika=sealed\r\nContent-Length: 300000000\r\n\r\n`,
        ),
      )
      let text = ''
      line.on('data', (d) => (text += d.toString()))
      line.on('close', () => resolve(text))
      line.on('error', reject)
    })
    expect(said).toMatch(/^HTTP\/1\.1 413 /)
    expect(seen).toEqual([])
  })
  it('from nobody known is not read beyond what the door takes', async () => {
    await front()
    knownFor = 'somebody else'
    const said = await ask({ method: 'POST', path: '/paints/import/run', headers: json(), body: Buffer.alloc(20_000) })
    expect(said.status).toBe(401)
    expect(said.text).toContain('signed out')
    expect(
      (await ask({ method: 'POST', path: '/scale', headers: json(), body: Buffer.alloc(20_000), pieces: true })).status,
    ).toBe(401)
    expect(seen).toEqual([])
  })
  it('is not taken while nobody can say who it is from', async () => {
    await front()
    server.removeAllListeners('request')
    server.on(
      'request',
      frontOf(app, allowedFrom({}, port), () => Promise.reject(new Error('no database'))),
    )
    expect((await ask({ method: 'POST', path: '/scale', headers: json(), body: Buffer.alloc(20_000) })).status).toBe(
      503,
    )
  })
})

describe('an answer', () => {
  it('bears a nonce of its own and lets nothing in from elsewhere, whether it comes from the app or not', async () => {
    await front()
    const answers = [await ask({}), await ask({}), await ask({ headers: { host: 'evil.example' } })]
    const nonces = answers.map((a) => {
      const csp = String(a.headers['content-security-policy'])
      expect(csp).toContain("default-src 'none'")
      expect(csp).toContain("frame-ancestors 'none'")
      expect(csp).not.toMatch(/script-src[^;]*unsafe|https?:|\*/)
      expect(a.headers).toMatchObject({
        'x-content-type-options': 'nosniff',
        'cross-origin-opener-policy': 'same-origin',
        'referrer-policy': 'same-origin',
      })
      expect(a.headers['strict-transport-security']).toBeUndefined()
      return /'nonce-([^']{20,})'/.exec(csp)![1]
    })
    expect(new Set(nonces).size).toBe(3)
    expect(seen[0]!.headers['content-security-policy']).toContain(`'nonce-${nonces[0]}'`)
  })
})

describe('a stop', () => {
  it('ends open lines at once and lets what is under way come to its end', async () => {
    await front()
    let ended = false
    let finish = () => undefined as void
    const slow: RequestListener = (request, response) => {
      if (request.url === '/live') {
        response.write(': here')
        holdLine('session 1', () => {
          ended = true
          response.end()
        })
      } else finish = () => void response.end('done')
    }
    const at = await serve(slow, async () => true, { host: '127.0.0.1', port: 0 }, {})
    const there = (at.server.address() as AddressInfo).port
    at.server.removeAllListeners('request')
    at.server.on('request', slow)
    const line = fetch(`http://127.0.0.1:${there}/live`).then((r) => r.text())
    const work = fetch(`http://127.0.0.1:${there}/work`).then((r) => r.text())
    await new Promise((r) => setTimeout(r, 100))
    const stopped = at.stop()
    expect(await line).toBe(': here')
    expect(ended).toBe(true)
    finish()
    expect(await work).toBe('done')
    await stopped
    endLines()
  })
})
