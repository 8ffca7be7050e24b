import type { IncomingHttpHeaders } from 'node:http'
import { isIP } from 'node:net'

/** Whose requests are taken, from configuration: nothing in a request can add to it. */
export interface Allowed {
  /**
   * What a request may call this server, by host, and the origin whose pages may then write, such as
   * `http://127.0.0.1:4310`. A name bound to our address by a stranger is none.
   */
  readonly hosts: ReadonlyMap<string, string>
  /** Addresses of the proxies whose forwarded headers are believed; none unless FIKA_PROXIES names them. */
  readonly proxies: ReadonlySet<string>
}

/** Names this machine goes by for itself. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'] as const

const listed = (text: string | undefined) => (text ?? '').split(/[\s,]+/).filter(Boolean)

/**
 * Reads what the owner configured.
 * @param env `FIKA_ORIGIN`, the addresses Fika is reached under besides loopback (`https://fika.example`), the first
 *   being the one printed on labels; `FIKA_PROXIES`, network addresses of proxies in front
 * @throws Error with a sentence where an entry is no address
 */
export function allowedFrom(env: Readonly<Record<string, string | undefined>>, port: number): Allowed {
  const named = listed(env.FIKA_ORIGIN).map((text) => {
    const url = URL.canParse(text) ? new URL(text) : undefined
    if (!url || !/^https?:$/.test(url.protocol) || url.origin !== text.replace(/\/$/, ''))
      throw new Error(
        `FIKA_ORIGIN holds “${text}”. Write whole addresses like https://fika.example, with a comma between.`,
      )
    return url.origin
  })
  const proxies = listed(env.FIKA_PROXIES)
  for (const p of proxies)
    if (!isIP(p))
      throw new Error(`FIKA_PROXIES holds “${p}”. Write network addresses like 10.0.0.2, with a comma between.`)
  const origins = [...named, ...LOOPBACK.map((name) => new URL(`http://${name}:${port}`).origin)]
  const hosts = new Map<string, string>()
  for (const o of origins) if (!hosts.has(new URL(o).host)) hosts.set(new URL(o).host, o)
  return { hosts, proxies: new Set(proxies) }
}

/** What is known of a request for certain. */
export interface Asker {
  /** Network address it comes from: the socket's, or what a configured proxy says of it. */
  readonly from: string
  /** The address it was sent to, one of the allowed. */
  readonly origin: string
}

/** Why a request is not taken. */
export interface Turned {
  readonly status: 403 | 421
  readonly message: string
}

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS'])

/** A header that was sent once; sent twice or not at all it is undefined. */
const one = (value: string | string[] | undefined) => (typeof value === 'string' ? value : undefined)

/** An address as the socket has it, an IPv4 one written as such. */
const plainAddress = (address: string) => address.replace(/^::ffff:(?=\d+\.)/, '')

/** The nearest address before our own proxies; the socket's where it belongs to none of them. */
function cameFrom(headers: IncomingHttpHeaders, peer: string, proxies: ReadonlySet<string>): string {
  if (!proxies.has(peer)) return peer
  const hops = (one(headers['x-forwarded-for']) ?? '').split(',').map((h) => plainAddress(h.trim()))
  while (hops.length && proxies.has(hops.at(-1)!)) hops.pop()
  const last = hops.at(-1) ?? ''
  return isIP(last) ? last : peer
}

/**
 * The one check of who asks: the request must name this server by an address of its own, and what changes anything
 * must come from a page of that server. Forwarded headers count from configured proxies alone.
 */
export function askerOf(
  request: { method?: string | undefined; headers: IncomingHttpHeaders; peer: string | undefined },
  allowed: Allowed,
): Asker | Turned {
  const { headers } = request
  const peer = plainAddress(request.peer ?? '')
  const behindProxy = allowed.proxies.has(peer)
  const host = (behindProxy && one(headers['x-forwarded-host'])) || headers.host || ''
  const origin = allowed.hosts.get(host.toLowerCase())
  if (!origin)
    return {
      status: 421,
      message:
        'Fika is not reached under this name. Use the address it printed when it started, or name this one in FIKA_ORIGIN.',
    }
  if (!SAFE.has(request.method ?? '')) {
    const site = one(headers['sec-fetch-site'])
    const from = one(headers.origin)
    if (from !== origin || (site !== undefined && site !== 'same-origin'))
      return { status: 403, message: 'Only Fika’s own pages may change anything. Open Fika itself, and do it there.' }
  }
  return { from: cameFrom(headers, peer, allowed.proxies), origin }
}
