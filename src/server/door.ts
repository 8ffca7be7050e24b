'use server'

import { UNIT_SYSTEMS } from '@/core/quantity/parse'
import { redirect } from 'next/navigation'
import { headers } from 'next/headers'
import { object, string } from 'yup'
import type { Answer } from '@/core/answer'
import { FikaError } from '@/core/errors'
import { revokeSession, signIn, signUp, type Signed } from '@/db/people/accounts'
import { demoDoor } from '@/db/people/demoDoor'
import { sessionCookie } from '@/session/cookie'
import { answer, checked } from './answer'

const email = string()
  .trim()
  .email('That is not an address. Type it like name@example.org.')
  .max(200)
  .required('Type your address.')

const signInSchema = object({ email, password: string().max(200).required('Type your password.') })
const signUpSchema = object({
  email,
  name: string().trim().max(120).required('Type your name.'),
  studioName: string().trim().max(120).required('Give the studio a name.'),
  password: string()
    .min(10, 'Choose a password of at least 10 characters; a few words are good.')
    .max(200)
    .required('Choose a password.'),
  timeZone: string()
    .max(60)
    .matches(/^[\w/+-]+$/)
    .optional(),
  units: string().oneOf(UNIT_SYSTEMS).optional(),
})

async function keep(signed: Signed): Promise<void> {
  const cookie = await sessionCookie()
  cookie.token = signed.token
  await cookie.save()
}

/** Signs in and keeps the session in the sealed cookie. */
export async function signInAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const good = await checked(signInSchema, input)
    const from = (await headers()).get('x-forwarded-for') ?? 'local'
    await keep(await signIn(good.email, good.password, from))
    return null
  })
}

/** Makes an account with a studio of its own, and signs in. */
export async function signUpAction(input: unknown): Promise<Answer<null>> {
  return answer(async () => {
    const { timeZone, units, ...good } = await checked(signUpSchema, input)
    await keep(await signUp({ ...good, ...(timeZone ? { timeZone } : {}), ...(units ? { units } : {}) }))
    return null
  })
}

/** Opens the demo studio; only where Fika was started as a demo. */
export async function openDemoAction(): Promise<Answer<null>> {
  return answer(async () => {
    const signed = process.env.FIKA_DEMO === '1' ? await demoDoor() : undefined
    if (!signed)
      throw new FikaError('NotFound', 'There is no demo studio here. Start Fika with npm run demo to have one.')
    await keep(signed)
    return null
  })
}

/** Ends the session, here and on the server. */
export async function signOutAction(): Promise<void> {
  const cookie = await sessionCookie()
  if (cookie.token) await revokeSession(cookie.token)
  cookie.destroy()
  redirect('/sign-in')
}
