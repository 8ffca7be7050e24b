import { createHash } from 'node:crypto'

/** JSON with sorted keys, so that the same payload has one hash. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`
  if (value instanceof Date) return JSON.stringify(value)
  if (value && typeof value === 'object') {
    const entries = Object.entries(value).filter(([, v]) => v !== undefined)
    return `{${entries
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`)
      .join(',')}}`
  }
  return JSON.stringify(value) ?? 'null'
}

/** What a request asks for, as 64 hexadecimal digits; the same for the same content in whatever order it was written. */
export const payloadHash = (kind: string, payload: unknown): string =>
  createHash('sha256')
    .update(`${kind}:${canonical(payload)}`)
    .digest('hex')
