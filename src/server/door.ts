'use server'

import { redirect } from 'next/navigation'
import { v7 as uuidv7 } from 'uuid'
import { object, string } from 'yup'
import type { Answer } from '@/core/answer'
import { FikaError } from '@/core/errors'
import { UNIT_SYSTEMS } from '@/core/quantity/parse'
import { isZone } from '@/core/schedule/zone'
import { makeAccount, signIn } from '@/db/people/accounts'
import { demoDoor } from '@/db/people/demoDoor'
import { countTry, openDoorCounts } from '@/db/people/doorTries'
import { newPasswordSchema } from '@/db/people/passwords'
import { endSession, type Signed } from '@/db/people/sessions'
import { deviceCookie, sessionCookie } from '@/session/cookie'
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
const signUpSchema = object({
  email,
  name: string().trim().max(120).required('Type your name.'),
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

/** Signs in and keeps the session in the sealed cookie. */
export async function signInAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const good = await checked(signInSchema, input)
    const [place, { id, knows }] = [await placeOf(), await deviceCookie()]
    const who = { person: personMark(good.email), place }
    try {
      const at = { place, on: await deviceWord(), ...(id ? { device: { id, knows: knows ?? [] } } : {}) }
      await keep(await signIn(good.email, good.password, at))
      note('signed in', who)
    } catch (error) {
      if (error instanceof FikaError) note('sign-in refused', { ...who, why: error.code })
      throw error
    }
    return null
  })
}

/** How long a sign-up takes at least, ms, whether the address was free or not. */
const SIGN_UP_MS = 400

/**
 * Makes an account with a studio of its own. It answers the same, after the same time, where the address has one
 * already: only signing in tells, and that is counted.
 */
export async function signUpAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const { timeZone, units, ...good } = await checked(signUpSchema, input)
    const place = await placeOf()
    await countTry(openDoorCounts('signUps', place, Number(process.env.FIKA_SIGN_UPS) || undefined))
    const time = new Promise((resolve) => setTimeout(resolve, SIGN_UP_MS))
    const made = await makeAccount({ ...good, ...(timeZone ? { timeZone } : {}), ...(units ? { units } : {}) })
    note(made ? 'studio made' : 'sign-up for an address that is taken', { person: personMark(good.email), place })
    await time
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
