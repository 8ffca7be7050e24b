'use server'

import { object, string } from 'yup'
import type { Answer } from '@/core/answer'
import { foundStudio, leaveStudio, openStudio } from '@/db/people/members'
import { foundStudioSchema, leaveSchema, openStudioSchema } from '@/db/people/memberSchema'
import { changePassword } from '@/db/people/accounts'
import { newPasswordSchema } from '@/db/people/passwords'
import { endOtherSessions, endOwnSession } from '@/db/people/sessions'
import { ask } from '@/server/perform'
import { note } from '@/server/log'

const passwordSchema = object({
  old: string().max(200, 'A password has at most 200 characters.').required('Type your password as it is now.'),
  chosen: newPasswordSchema,
})
const sessionSchema = object({ id: string().max(40).required('Choose a session.') })

/** Changes the password; every other session of the account ends. Answers how many did. */
export async function changePasswordAction(input: unknown): Promise<Answer<number>> {
  return ask(passwordSchema, input, async ({ old, chosen }, who) => {
    const ended = await changePassword(who, old, chosen)
    note('password changed', { account: who.accountId, ended })
    return ended
  })
}

/** Ends one of one's own sessions. */
export async function endSessionAction(input: unknown): Promise<Answer<null>> {
  return ask(sessionSchema, input, async ({ id }, who) => {
    await endOwnSession(who.accountId, id)
    return null
  })
}

/** Ends every session of one's own but this one. Answers how many. */
export async function endOthersAction(): Promise<Answer<number>> {
  return ask(object(), {}, (_, who) => endOtherSessions(who.accountId, who.sessionId))
}

/** Opens another of one's studios, on this device. */
export async function openStudioAction(input: unknown): Promise<Answer<null>> {
  return ask(openStudioSchema, input, async (studio, who) => {
    await openStudio(who, studio)
    return null
  })
}

/** Starts one more studio of one's own, and opens it. */
export async function foundStudioAction(input: unknown): Promise<Answer<null>> {
  return ask(foundStudioSchema, input, async (studio, who) => {
    await foundStudio(who, studio)
    return null
  })
}

/** Leaves the studio that is open. What one did stays in its journal. */
export async function leaveStudioAction(input: unknown): Promise<Answer<null>> {
  return ask(leaveSchema, input, async (_, who) => {
    await leaveStudio(who)
    note('left a studio', { account: who.accountId })
    return null
  })
}
