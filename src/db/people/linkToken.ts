import { createHash, randomBytes } from 'node:crypto'

/**
 * What a link bears that lets somebody in: the studio, so that it can be looked for inside that studio alone, and a
 * secret of 256 bits. Of it only a hash is kept.
 */
export interface LinkToken {
  readonly token: string
  readonly hash: string
}

/** Letters of base64url that the studio takes. */
const STUDIO_LETTERS = 22

const hashOf = (token: string) => createHash('sha256').update(`link ${token}`).digest('hex')

/** Makes the token of a new link into a studio. */
export function makeLinkToken(studioId: string): LinkToken {
  const studio = Buffer.from(studioId.replaceAll('-', ''), 'hex').toString('base64url')
  const token = studio + randomBytes(32).toString('base64url')
  return { token, hash: hashOf(token) }
}

/** The studio a link leads into, and the hash it is known by there; undefined where the text is no token of ours. */
export function readLinkToken(token: string): { studioId: string; hash: string } | undefined {
  if (!/^[\w-]{65}$/.test(token)) return undefined
  const hex = Buffer.from(token.slice(0, STUDIO_LETTERS), 'base64url').toString('hex')
  const studioId = hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
  return { studioId, hash: hashOf(token) }
}
