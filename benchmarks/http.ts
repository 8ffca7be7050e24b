import { readFileSync } from 'node:fs'
import type { Answer } from '@/core/answer'
import { sealed } from '../tests/support/sealed'

/** A Cookie header that bears a session. */
export const cookieOf = async (token: string): Promise<string> => `fika=${await sealed(token)}`

/** Names of the app's actions to the ids the build gave them. */
function actionIds(): ReadonlyMap<string, string> {
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName?: string }>
  }
  return new Map(Object.entries(manifest.node).map(([id, { exportedName }]) => [exportedName ?? '', id]))
}
let ids: ReadonlyMap<string, string> | undefined

/** What an action was answered: its value or refusal, and how large the answer was. */
export interface Answered<T> {
  readonly answer: Answer<T>
  readonly bytes: number
}

/**
 * Calls one of the app's actions the way a page does.
 * @param path a page that has the action
 * @throws Error where the app does not answer, or not as an action does
 */
export async function act<T>(
  url: string,
  cookie: string,
  path: string,
  name: string,
  input: unknown,
): Promise<Answered<T>> {
  const id = (ids ??= actionIds()).get(name)
  if (!id) throw new Error(`the build has no action ${name}`)
  const response = await fetch(`${url}${path}`, {
    method: 'POST',
    headers: {
      cookie,
      origin: url,
      'next-action': id,
      accept: 'text/x-component',
      'content-type': 'text/plain;charset=UTF-8',
    },
    body: JSON.stringify([input]),
  })
  const text = await response.text()
  const line = text.split('\n').find((l) => /^\w+:\{"ok":/.test(l))
  if (!line) throw new Error(`${name} was answered ${response.status} ${text.slice(0, 200)}`)
  return { answer: JSON.parse(line.slice(line.indexOf(':') + 1)) as Answer<T>, bytes: text.length }
}

/** Fetches a page, whole. @throws Error where it does not come, as another type, or without `mark` in it */
async function page(address: string | URL, headers: Record<string, string>, mark: string, type = ''): Promise<void> {
  const response = await fetch(address, { headers })
  if (!(response.headers.get('content-type') ?? '').startsWith(type)) throw new Error(`${address} came as another type`)
  if (response.status !== 200 || !(await response.text()).includes(mark)) throw new Error(`${address} did not come`)
}

/** The way a browser opens a page: as a document, with the frame. @param mark what stands in it */
export const opening = (url: string, path: string, cookie: string, mark: string) => () =>
  page(`${url}${path}`, { cookie }, mark)

/**
 * The way a page turns to another once the app is open: what the browser fetches then, the whole tree of it.
 * @param mark what stands in it
 */
export async function turningTo(url: string, path: string, cookie: string, mark: string): Promise<() => Promise<void>> {
  const headers = { cookie, RSC: '1' }
  // The app says itself under which address such a page is kept apart from its HTML.
  const { headers: said } = await fetch(`${url}${path}`, { headers, redirect: 'manual' })
  const location = said.get('location')
  if (!location) throw new Error(`${path} has no address to be turned to`)
  const address = new URL(location, url)
  return () => page(address, headers, mark, 'text/x-component')
}

/**
 * Opens one event stream; resolves when the server has greeted, and calls `told` for each piece of news.
 * @throws Error where it is not opened
 */
export async function listen(address: string, cookie: string, signal: AbortSignal, told: () => void): Promise<void> {
  const response = await fetch(address, { headers: { cookie }, signal })
  if (response.status !== 200) throw new Error('the news did not come')
  const reader = response.body!.getReader()
  const decoder = new TextDecoder()
  await reader.read()
  void (async () => {
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return
      if (decoder.decode(value).includes('"rack"')) told()
    }
  })().catch(() => undefined)
}
