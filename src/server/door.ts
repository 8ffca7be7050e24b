'use server'

import { redirect } from 'next/navigation'
import { v7 as uuidv7 } from 'uuid'
import { object, string } from 'yup'
import type { Answer } from '@/core/answer'
import { FikaError } from '@/core/errors'
import { UNIT_SYSTEMS } from '@/core/quantity/parse'
import { isZone } from '@/core/schedule/zone'
import { accountOf, makeAccount, makeGuestAccount, signIn, type AtDoor } from '@/db/people/accounts'
import { demoDoor } from '@/db/people/demoDoor'
import { countTry, openDoorCounts } from '@/db/people/doorTries'
import { acceptInvitation, findInvitation, LINK_OVER } from '@/db/people/invitations'
import { newPasswordSchema } from '@/db/people/passwords'
import { endSession, moveSession, openSession, type Signed } from '@/db/people/sessions'
import { deviceCookie, sessionCookie } from '@/session/cookie'
import { requireSession } from '@/session/current'
import { checked, answer } from './answer'
import { deviceWord, placeOf } from './asker'
import { note, personMark } from './log'

const email = string()
  .trim()
  .email('That is not an address. Type it like name@example.org.')
  .max(200, 'That address is too long. Type one of at most 200 characters.')
  .required('Type your address.')

const signInSchema = object({
  email,
  password: string().max(200, 'A password has at most 200 characters.').required('Type your password.'),
})
const name = string().trim().max(120, 'The name is longer than 120 characters. Shorten it.').required('Type your name.')
const token = string().max(100, 'That is no link of an invitation. Open it anew.').required('Open the link anew.')
const guestSchema = object({ email, name, password: newPasswordSchema, token })
const signUpSchema = object({
  email,
  name,
  studioName: string().trim().max(120).required('Give the studio a name.'),
  password: newPasswordSchema,
  timeZone: string()
    .test('zone', 'Fika does not know that time zone. Choose another, such as Europe/Oslo.', (z) => !z || isZone(z))
    .optional(),
  units: string().oneOf(UNIT_SYSTEMS).optional(),
})

/** Puts a session's token into the cookie, and marks the device as one its account was in on. */
async function keep(signed: Signed): Promise<void> {
  const device = await deviceCookie()
  device.id ??= uuidv7()
  device.knows = [...new Set([signed.accountId, ...(device.knows ?? [])])].slice(0, 20)
  await device.save()
  const cookie = await sessionCookie()
  cookie.token = signed.token
  await cookie.save()
}

/** Lets somebody in by address and password, in whatever way, and writes down how it went. */
async function enter(good: { email: string; password: string }, way: (at: AtDoor) => Promise<Signed>): Promise<null> {
  const [place, { id, knows }] = [await placeOf(), await deviceCookie()]
  const who = { person: personMark(good.email), place }
  try {
    const at = { place, on: await deviceWord(), ...(id ? { device: { id, knows: knows ?? [] } } : {}) }
    await keep(await way(at))
    note('signed in', who)
  } catch (error) {
    if (error instanceof FikaError) note('sign-in refused', { ...who, why: error.code })
    throw error
  }
  return null
}

/** Signs in and keeps the session in the sealed cookie. */
export async function signInAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const good = await checked(signInSchema, input)
    return enter(good, (at) => signIn(good.email, good.password, at))
  })
}

/** Signs in by an invitation: with address and password, into the studio it leads to. */
export async function signInByInvitationAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const good = await checked(signInSchema.shape({ token }), input)
    return enter(good, async (at) => {
      const accountId = await accountOf(good.email, good.password, at)
      return openSession(accountId, await acceptInvitation(good.token, accountId), at.on)
    })
  })
}

/** Comes in by an invitation as who is signed in already. */
export async function joinAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const who = await requireSession()
    const good = await checked(object({ token }), input)
    await moveSession(who.sessionId, await acceptInvitation(good.token, who.accountId))
    note('came in by invitation', { account: who.accountId })
    return null
  })
}

/**
 * Makes an account for somebody who was invited and has none; they come in when they sign in by the invitation. It
 * answers the same, after the same time, where the address has one already.
 */
export async function signUpByInvitationAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const good = await checked(guestSchema, input)
    const place = await placeOf()
    await countTry(signUpCounts(place))
    const invited = await findInvitation(good.token)
    if (!invited) throw new FikaError('NotFound', LINK_OVER)
    const made = await atLeast(SIGN_UP_MS, () => makeGuestAccount(invited.studioId, good))
    note(made ? 'account made by invitation' : 'sign-up for an address that is taken', {
      person: personMark(good.email),
      place,
    })
    return null
  })
}

/** How long a sign-up takes at least, ms, whether the address was free or not. */
const SIGN_UP_MS = 400

/** Does something that is not answered before its time is over. */
async function atLeast<T>(ms: number, work: () => Promise<T>): Promise<T> {
  const time = new Promise((resolve) => setTimeout(resolve, ms))
  const done = await work()
  await time
  return done
}

const signUpCounts = (place: string) => openDoorCounts('signUps', place, Number(process.env.FIKA_SIGN_UPS) || undefined)

/**
 * Makes an account with a studio of its own. It answers the same, after the same time, where the address has one
 * already: only signing in tells, and that is counted.
 */
export async function signUpAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const { timeZone, units, ...good } = await checked(signUpSchema, input)
    const place = await placeOf()
    await countTry(signUpCounts(place))
    const made = await atLeast(SIGN_UP_MS, () =>
      makeAccount({ ...good, ...(timeZone ? { timeZone } : {}), ...(units ? { units } : {}) }),
    )
    note(made ? 'studio made' : 'sign-up for an address that is taken', { person: personMark(good.email), place })
    return null
  })
}

/** Opens the demo studio; only where Fika was started as a demo. */
export async function openDemoAction(): Promise<Answer<null>> {
  return answer(async () => {
    const place = await placeOf()
    await countTry(openDoorCounts('demo', place))
    const signed = process.env.FIKA_DEMO === '1' ? await demoDoor(await deviceWord()) : undefined
    if (!signed)
      throw new FikaError('NotFound', 'There is no demo studio here. Start Fika with npm run demo to have one.')
    await keep(signed)
    note('demo opened', { place })
    return null
  })
}

/** Ends the session, here and on the server. */
export async function signOutAction(): Promise<void> {
  const cookie = await sessionCookie()
  if (cookie.token) await endSession(cookie.token)
  cookie.destroy()
  redirect('/sign-in')
}
