import { redirect } from 'next/navigation'
import { cache } from 'react'
import { FikaError } from '@/core/errors'
import { findSession, type Session } from '@/db/people/sessions'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { tokenHere } from './cookie'

/** Who is signed in, looked up once a request; undefined when nobody is. */
export const session = cache(async (): Promise<Session | undefined> => {
  const token = await tokenHere()
  return token ? findSession(token) : undefined
})

/** For pages: the session, or the way to the door. */
export async function sessionOrDoor(): Promise<Session> {
  return (await session()) ?? redirect('/sign-in')
}

/** For pages: reads inside the signed-in studio. */
export async function inStudio<T>(work: (tx: Tx, who: Session) => Promise<T>): Promise<T> {
  const who = await sessionOrDoor()
  return withStudio(who, (tx) => work(tx, who))
}

/** For handlers and actions: the session. @throws FikaError SignedOut */
export async function requireSession(): Promise<Session> {
  const who = await session()
  if (!who)
    throw new FikaError('SignedOut', 'You are signed out. Sign in again in another tab, then come back and try again.')
  return who
}
