import type { UnitSystem } from '@/core/quantity/parse'
import { v7 as uuidv7 } from 'uuid'
import { Conflict, Invalid } from '@/core/errors'
import { pool } from '../base/pool'
import { withStudio, type Tx } from '../base/withStudio'
import { countTry, forgiveTry, signInCounts } from './doorTries'
import { addMember } from './members'
import { createStudio } from './newStudio'
import { hashPassword, isPassword } from './passwords'
import { endOtherSessions, openSession, type Session, type Signed } from './sessions'

/** Accounts: with their sessions and the tries at the door the only tables that stand outside the studios. */

/**
 * Makes an account with a studio of its own.
 * @returns whose it is; undefined where the address has an account already, after as long a time
 */
export async function makeAccount(input: {
  name: string
  email: string
  password: string
  studioName: string
  timeZone?: string
  units?: UnitSystem
}): Promise<{ accountId: string; studioId: string } | undefined> {
  const accountId = uuidv7()
  const studioId = uuidv7()
  const passwordHash = await hashPassword(input.password)
  return withStudio({ studioId, accountId: null }, async (tx) => {
    if (!(await addAccount(tx, { ...input, id: accountId, passwordHash }))) return undefined
    await createStudio(tx, {
      studioId,
      name: input.studioName.trim(),
      ...(input.timeZone ? { timeZone: input.timeZone } : {}),
      ...(input.units ? { units: input.units } : {}),
    })
    await addMember(tx, accountId, 'owner')
    return { accountId, studioId }
  })
}

/** Writes an account. @returns false where the address has one already */
async function addAccount(
  tx: Tx,
  account: { id: string; name: string; email: string; passwordHash: string },
): Promise<boolean> {
  const made = await tx.q(
    'insert into account (id, email, name, password_hash) values ($1, $2, $3, $4) on conflict (email_key) do nothing returning id',
    [account.id, account.email.trim(), account.name.trim(), account.passwordHash],
  )
  return made.length > 0
}

/** A person who stands in a journal that was brought in from elsewhere: a name, and no way in. */
export const addPlaceholder = (tx: Tx, { id, name }: { id: string; name: string }) =>
  tx.q('insert into account (id, email, name) values ($1, $2, $3)', [id, `${id}@brought-in.invalid`, name])

/**
 * Makes an account for somebody who is invited into a studio; they come in when they sign in by the invitation.
 * @returns whether it was made; false where the address has one already, after as long a time
 */
export async function makeGuestAccount(
  studioId: string,
  input: { name: string; email: string; password: string },
): Promise<boolean> {
  const passwordHash = await hashPassword(input.password)
  return withStudio({ studioId, accountId: null }, (tx) => addAccount(tx, { ...input, id: uuidv7(), passwordHash }))
}

/** Where somebody stands at the door. */
export interface AtDoor {
  /** Network address they come from. */
  readonly place: string
  /** What they come with, in a word or two. */
  readonly on?: string
  /** The device's own mark, and the accounts that were in on it before. */
  readonly device?: { readonly id: string; readonly knows: readonly string[] }
}

/**
 * Whose address and password these are. The try is counted before anything else is done for it.
 * @throws Invalid when they do not match; FikaError TooOften after too many tries
 */
export async function accountOf(email: string, password: string, at: AtDoor): Promise<string> {
  const { rows } = await pool().query<{ id: string; password_hash: string | null }>(
    'select id, password_hash from account where email_key = lower(btrim($1))',
    [email],
  )
  const account = rows[0]
  const own = account && at.device?.knows.includes(account.id) ? at.device.id : undefined
  const counts = signInCounts(email.trim().toLowerCase(), at.place, own)
  await countTry(counts)
  if (!(await isPassword(account?.password_hash, password)) || !account)
    throw new Invalid('Address and password do not match. Check both, and try again.', 'password')
  await forgiveTry(counts)
  return account.id
}

/**
 * Signs in with address and password, into the studio that was open last.
 * @throws Invalid, FikaError TooOften as above; Conflict where the account is in no studio any more
 */
export async function signIn(email: string, password: string, at: AtDoor): Promise<Signed> {
  const accountId = await accountOf(email, password, at)
  const { rows } = await pool().query<{ studio_id: string }>(
    `select studio_id from account_studio where account_id = $1 and ended_at is null
     order by opened_at desc, studio_id limit 1`,
    [accountId],
  )
  if (!rows[0])
    throw new Conflict('You are in no studio any more. Open the link of an invitation, and sign in by that.')
  return openSession(accountId, rows[0].studio_id, at.on)
}

/**
 * Changes the password of whoever is signed in; their other sessions end.
 * @returns how many were ended
 * @throws Invalid where the old one is wrong; FikaError TooOften after too many tries
 */
export async function changePassword(who: Session, old: string, chosen: string): Promise<number> {
  const counts = signInCounts(who.accountId, 'here', who.accountId)
  await countTry(counts)
  const { rows } = await pool().query<{ password_hash: string | null }>(
    'select password_hash from account where id = $1',
    [who.accountId],
  )
  if (!(await isPassword(rows[0]?.password_hash, old)))
    throw new Invalid('That is not your password now. Type the one you signed in with.', 'old')
  await forgiveTry(counts)
  await pool().query('update account set password_hash = $2 where id = $1', [who.accountId, await hashPassword(chosen)])
  return endOtherSessions(who.accountId, who.sessionId)
}
