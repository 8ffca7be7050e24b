import { unsealData, type SessionOptions } from 'iron-session'

export interface Sealed {
  token?: string
}

/** How long a sealed session is good for, in days. */
const DAYS = 30
const DAY_S = 24 * 3600

function secret(): string {
  const password = process.env.FIKA_COOKIE_SECRET
  if (!password) throw new Error('FIKA_COOKIE_SECRET is not set. Start Fika with npm run demo or npm start.')
  return password
}

/** How a cookie of ours is sealed: under TLS bound to this host and never sent without it. @param days how long it is kept */
export const sealing = (name: string, secure: boolean, days = DAYS): SessionOptions => ({
  cookieName: secure ? `__Host-${name}` : name,
  password: secret(),
  ttl: days * DAY_S,
  cookieOptions: { httpOnly: true, sameSite: 'lax', secure, path: '/' },
})

/** Seals that were opened of late: opening one costs more than all else a small request does. */
const opened = new Map<string, { readonly token: string; readonly until: number }>()
const MOST_OPENED = 2000
const KEPT_MS = 10 * 60_000

/**
 * The token within a sealed value; undefined where we did not seal it, or too long ago. Whether the session still
 * stands is the database's word alone.
 */
export async function unsealed(value: string): Promise<string | undefined> {
  const known = opened.get(value)
  if (known && known.until > Date.now()) return known.token
  try {
    const { token } = await unsealData<Sealed>(decodeURIComponent(value), { password: secret(), ttl: DAYS * DAY_S })
    if (!token) return undefined
    if (opened.size >= MOST_OPENED) opened.clear()
    opened.set(value, { token, until: Date.now() + KEPT_MS })
    return token
  } catch {
    return undefined
  }
}

/** The token of the session that a Cookie header bears; undefined where there is none, or none that we sealed. */
export async function tokenIn(cookies: string): Promise<string | undefined> {
  for (const pair of cookies.split(/;\s*/)) {
    const [name, sealed] = pair.split(/=(.*)/s)
    if (!sealed || (name !== 'fika' && name !== '__Host-fika')) continue
    const token = await unsealed(sealed)
    if (token) return token
  }
  return undefined
}
