import { randomBytes } from 'node:crypto'
import { createServer, type IncomingMessage, type RequestListener, type Server, type ServerResponse } from 'node:http'
import { createServer as createTlsServer } from 'node:https'
import { DOOR_SAYS } from '@/core/answer'
import { endLines } from '@/server/lines'
import { allowedFrom, askerOf, type Allowed } from './allowed'
import { bodyLimit, countBody, declaredBytes, UNKNOWN_BYTES } from './bodies'
import { securityHeaders } from './headers'

/** How long a request may take to send its headers, and the whole of itself, ms. */
const HEADERS_MS = 15_000
const REQUEST_MS = 120_000
/** How long a stop waits for what is under way, ms. */
const STOP_MS = 5_000

/** Headers by which the front tells the app what it made sure of; as sent by a browser they are dropped. */
const TOLD = { from: 'x-fika-from', origin: 'x-fika-origin' } as const

/** Where a front listens; with TLS where it is told key and certificate (PEM). */
export interface At {
  readonly host: string
  readonly port: number
  readonly tls?: Tls
}

export interface Tls {
  readonly key: string
  readonly cert: string
  /** The authority of the house, which a device fetches once to trust it. */
  readonly authority: string
}

/** Where a device fetches the authority of the house. */
export const AUTHORITY_PATH = '/authority.crt'

export interface Front {
  readonly server: Server
  /** Ends: no new request is taken, open lines are closed, what is under way has five seconds. */
  stop(): Promise<void>
}

/** A refusal before the app has seen the request: one sentence, in the form the page that asked reads. */
function turnAway(request: IncomingMessage, response: ServerResponse, status: number, message: string): void {
  if (response.headersSent) {
    response.destroy()
    return
  }
  const json = /^application\/json/.test(request.headers['content-type'] ?? '')
  const body = json ? JSON.stringify({ ok: false, code: 'Turned', message }) : `${DOOR_SAYS}${message}`
  // What comes of the body after this is not read: the line ends with the answer.
  response.writeHead(status, {
    'Content-Type': json ? 'application/json' : 'text/plain',
    'Cache-Control': 'no-store',
    Connection: 'close',
  })
  response.end(body)
  response.once('finish', () => request.socket.destroySoon())
}

/**
 * The way in of every request, before the app: who asks, how large the body may be, and the headers of the answer.
 * @param app handles what is let through
 * @param authority what is handed out at its path; nothing where there is none
 * @param known whether a request comes from somebody signed in; asked only before a larger body is read
 */
export function frontOf(
  app: RequestListener,
  allowed: Allowed,
  known: (cookies: string) => Promise<boolean>,
  authority?: string,
): RequestListener {
  return (request, response) => {
    const { headers, socket } = request
    const asker = askerOf({ method: request.method, headers, peer: socket.remoteAddress }, allowed)
    const nonce = randomBytes(16).toString('base64')
    const safe = securityHeaders(nonce, 'origin' in asker && asker.origin.startsWith('https:'))
    for (const [name, value] of Object.entries(safe)) response.setHeader(name, value)
    if ('status' in asker) return turnAway(request, response, asker.status, asker.message)

    for (const name of Object.keys(headers))
      if (name === 'forwarded' || name.startsWith('x-forwarded-') || name.startsWith('x-fika-')) delete headers[name]
    headers[TOLD.from] = asker.from
    headers[TOLD.origin] = asker.origin
    headers.host = new URL(asker.origin).host
    headers['x-forwarded-proto'] = asker.origin.startsWith('https:') ? 'https' : 'http'
    // The app reads from here which nonce its scripts bear.
    headers['content-security-policy'] = safe['Content-Security-Policy']

    const path = request.url ?? '/'
    // `//` and the like are addresses of nothing, and would be none for whatever reads them next.
    if (!URL.canParse(path, asker.origin) || path.startsWith('//'))
      return turnAway(request, response, 400, 'That is no address of Fika’s. Go back and choose again.')
    if (authority && path === AUTHORITY_PATH && (request.method === 'GET' || request.method === 'HEAD')) {
      response.writeHead(200, {
        'Content-Type': 'application/x-x509-ca-cert',
        'Content-Disposition': 'attachment; filename="fika-authority.crt"',
      })
      response.end(request.method === 'HEAD' ? undefined : authority)
      return
    }
    const limit = bodyLimit(new URL(path, asker.origin).pathname)
    const declared = declaredBytes(request)
    const tooLarge = () => turnAway(request, response, 413, limit.message)
    if (declared !== undefined && declared > limit.bytes) return tooLarge()
    // Counted from its first byte, which may come before it is known who sends it.
    if (declared === undefined) countBody(request, limit.bytes, tooLarge)
    const pass = () => void (response.writableEnded || app(request, response))
    if (declared !== undefined && declared <= UNKNOWN_BYTES) return pass()
    known(headers.cookie ?? '').then(
      (is) =>
        is ? pass() : turnAway(request, response, 401, 'You are signed out. Sign in in another tab, then try again.'),
      () => turnAway(request, response, 503, 'The database does not answer just now. Wait a moment, then try again.'),
    )
  }
}

/**
 * Starts to listen.
 * @throws the error of the port, such as EADDRINUSE
 */
export async function serve(
  app: RequestListener,
  known: (cookies: string) => Promise<boolean>,
  at: At,
  env: Readonly<Record<string, string | undefined>>,
): Promise<Front> {
  const { tls } = at
  const limits = { requestTimeout: REQUEST_MS, headersTimeout: HEADERS_MS }
  const front = frontOf(app, allowedFrom(env, at.port), known, tls?.authority)
  const server = tls
    ? createTlsServer({ ...limits, key: tls.key, cert: tls.cert, minVersion: 'TLSv1.2' }, front)
    : createServer(limits, front)
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(at.port, at.host, resolve)
  })
  return {
    server,
    stop: () =>
      new Promise((resolve) => {
        const hard = setTimeout(() => server.closeAllConnections(), STOP_MS)
        server.close(() => {
          clearTimeout(hard)
          resolve()
        })
        endLines()
        server.closeIdleConnections()
      }),
  }
}
