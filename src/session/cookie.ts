import { getIronSession } from 'iron-session'
import { cookies } from 'next/headers'

interface Sealed {
  token?: string
}

/** The sealed cookie. It holds nothing but the session's token; the server knows the rest and can revoke it. */
export async function sessionCookie() {
  const store = await cookies()
  const password = process.env.FIKA_COOKIE_SECRET
  if (!password) throw new Error('FIKA_COOKIE_SECRET is not set. Start Fika with npm run demo or npm start.')
  return getIronSession<Sealed>(store, {
    cookieName: 'fika',
    password,
    ttl: 30 * 24 * 3600,
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure: process.env.FIKA_HTTPS === '1', path: '/' },
  })
}
