import { v7 as uuidv7 } from 'uuid'
import { makeAccount } from '@/db/people/accounts'
import { openSession, type Signed } from '@/db/people/sessions'

/** An account with a studio of its own, and a session in it. */
export async function signUp(input: Parameters<typeof makeAccount>[0]): Promise<Signed> {
  const made = await makeAccount(input)
  if (!made) throw new Error('that address has an account already')
  return openSession(made.accountId, made.studioId)
}

/** Somebody nobody knows yet, with all it takes to sign up. */
export const person = () => ({
  name: 'Runa',
  email: `runa-${uuidv7()}@example.org`,
  password: 'a long pass phrase',
  studioName: 'Upper lock',
})
