import type { IncomingMessage } from 'node:http'

/** Largest body taken from nobody in particular, and at the door, in bytes. */
export const UNKNOWN_BYTES = 16_000
const USUAL_BYTES = 256_000

/** Paths that take more, with what they take and its bytes. */
const LARGER: readonly { readonly path: RegExp; readonly what: string; readonly bytes: number }[] = [
  { path: /^\/paints\/import(\/|$)/, what: 'A list', bytes: 10_000_000 },
  { path: /^\/(wall|pour\/run)(\/|$)/, what: 'A photo', bytes: 20_000_000 },
  { path: /^\/plan\/[^/]+\/rehearse(\/|$)/, what: 'A rehearsal', bytes: 5_000_000 },
  { path: /^\/studio\/keeping\/bring-in$/, what: 'An archive', bytes: 1_000_000_000 },
]

const DOOR = /^\/(sign-in|join)(\/|$)/

/** The most bytes a path takes of a body, and the sentence for more. */
export function bodyLimit(path: string): { readonly bytes: number; readonly message: string } {
  if (DOOR.test(path)) return { bytes: UNKNOWN_BYTES, message: 'That is too much to sign in with. Type it anew.' }
  const larger = LARGER.find((l) => l.path.test(path))
  if (larger)
    return {
      bytes: larger.bytes,
      message: `${larger.what} of more than ${larger.bytes / 1_000_000} MB is too large here. Make it smaller, or bring it in parts.`,
    }
  return { bytes: USUAL_BYTES, message: 'That is more than Fika takes at once. Send less of it.' }
}

/** Bytes a request says its body has; undefined where it does not say, as with a body sent in pieces. */
export function declaredBytes(request: IncomingMessage): number | undefined {
  const { 'transfer-encoding': pieces, 'content-length': length } = request.headers
  if (pieces !== undefined) return undefined
  return Number(length ?? 0)
}

/**
 * Counts a body as it comes in. Of one that grows over `bytes` nothing further reaches whoever reads it.
 * @param over called once, when it has grown over
 */
export function countBody(request: IncomingMessage, bytes: number, over: () => void): void {
  const push = request.push.bind(request)
  let seen = 0
  request.push = (chunk: Buffer | null, encoding?: BufferEncoding) => {
    if (chunk === null) return seen > bytes ? false : push(null)
    const before = seen
    seen += chunk.length
    if (seen <= bytes) return push(chunk, encoding)
    if (before <= bytes) over()
    return false
  }
}
