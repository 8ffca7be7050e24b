import { getIronSession } from 'iron-session'
import { cookies, headers } from 'next/headers'
import { sealing, unsealed, type Sealed } from './seal'

/** Whether the page was asked for over TLS, as the front made sure of it. */
const isSecure = async () => ((await headers()).get('x-fika-origin') ?? '').startsWith('https:')

/** The sealed cookie. It holds nothing but the session's token; the server knows the rest and can end it. */
export async function sessionCookie() {
  return getIronSession<Sealed>(await cookies(), sealing('fika', await isSecure()))
}

/** The token this request bears; undefined where it bears none of ours. */
export async function tokenHere(): Promise<string | undefined> {
  const sealed = (await cookies()).get((await isSecure()) ? '__Host-fika' : 'fika')?.value
  return sealed ? unsealed(sealed) : undefined
}

/** What this device is known by when somebody signs in on it again: a mark of its own, and whose accounts were in. */
export async function deviceCookie() {
  return getIronSession<{ id?: string; knows?: string[] }>(
    await cookies(),
    sealing('fika-device', await isSecure(), 365),
  )
}
