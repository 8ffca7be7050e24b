import { makeAccount } from '@/db/people/accounts'
import { openSession, type Signed } from '@/db/people/sessions'

/** An account with a studio of its own, and a session in it. */
export async function signUp(input: Parameters<typeof makeAccount>[0]): Promise<Signed> {
  const made = await makeAccount(input)
  if (!made) throw new Error('that address has an account already')
  return openSession(made.accountId, made.studioId)
}
