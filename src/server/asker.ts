import { headers } from 'next/headers'

/** Network address a request comes from, as the front made sure of it. */
export const placeOf = async (): Promise<string> => (await headers()).get('x-fika-from') ?? 'here'

/** What a request comes from, in a word: of a browser's name for itself nothing else is kept. */
export async function deviceWord(): Promise<string> {
  const said = await headers()
  const isHandheld = said.get('sec-ch-ua-mobile') === '?1' || /Mobi/.test(said.get('user-agent') ?? '')
  return isHandheld ? 'a phone' : 'a computer or tablet'
}

/**
 * The address Fika is reached under, to be printed on labels and into calendars: the first that is configured, else
 * the one the request came to, which the front has checked.
 */
export async function publicOrigin(): Promise<string> {
  const configured = process.env.FIKA_ORIGIN?.split(/[\s,]+/).find(Boolean)
  return configured ? new URL(configured).origin : ((await headers()).get('x-fika-origin') ?? 'http://127.0.0.1:4310')
}
