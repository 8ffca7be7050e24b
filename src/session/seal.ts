import { unsealData, type SessionOptions } from 'iron-session'

export interface Sealed {
  token?: string
}

function secret(): string {
  const password = process.env.FIKA_COOKIE_SECRET
  if (!password) throw new Error('FIKA_COOKIE_SECRET is not set. Start Fika with npm run demo or npm start.')
  return password
}

/** How a cookie of ours is sealed: under TLS bound to this host and never sent without it. @param days how long it is kept */
export const sealing = (name: string, secure: boolean, days = 30): SessionOptions => ({
  cookieName: secure ? `__Host-${name}` : name,
  password: secret(),
  ttl: days * 24 * 3600,
  cookieOptions: { httpOnly: true, sameSite: 'lax', secure, path: '/' },
})

async function unsealed(value: string): Promise<string | undefined> {
  try {
    return (await unsealData<Sealed>(decodeURIComponent(value), { password: secret() })).token
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
