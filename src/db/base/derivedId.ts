import { createHash } from 'node:crypto'

/**
 * An id made from another, always the same: for writes that follow from one request, so that sent twice they are one.
 * It has the form of UUIDv7 and keeps the time of the first.
 */
export function derivedId(id: string, what: string): string {
  const hash = createHash('sha256').update(`${id} ${what}`).digest('hex')
  return `${id.slice(0, 13)}-7${hash.slice(0, 3)}-${'89ab'[parseInt(hash[3]!, 16) & 3]}${hash.slice(4, 7)}-${hash.slice(7, 19)}`
}
