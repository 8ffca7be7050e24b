import type { UnitSystem } from '@/core/quantity/parse'
import { createHash, randomBytes } from 'node:crypto'
import { hash, verify } from '@node-rs/argon2'
import { v7 as uuidv7 } from 'uuid'
import { FikaError, Invalid } from '@/core/errors'
import { pool } from '../base/pool'
import { withStudio } from '../base/withStudio'
import { createStudio } from './newStudio'

/** Accounts and sessions: the only tables that stand outside the studios. */

const SESSION_DAYS = 30
/**
 * Failed tries within the window before a further one is refused: for one address, and from one place on the network,
 * where a whole studio may sit behind one address.
 */
export const TRIES = { email: 8, from: 40, minutes: 15 } as const

export interface Signed {
  readonly token: string
  readonly accountId: string
  readonly studioId: string
}

const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex')
/** Hash of nothing anybody typed: spends the same time on an unknown address as on a known one. */
let decoy: Promise<string> | undefined

/**
 * Makes an account with a studio of its own.
 * @throws Invalid when the address has an account already
 */
export async function signUp(input: {
  name: string
  email: string
  password: string
  studioName: string
  timeZone?: string
  units?: UnitSystem
}): Promise<Signed> {
  const accountId = uuidv7()
  const studioId = uuidv7()
  const passwordHash = await hash(input.password)
  await withStudio({ studioId, accountId: null }, async (tx) => {
    const made = await tx.q(
      'insert into account (id, email, name, password_hash) values ($1, $2, $3, $4) on conflict (email_key) do nothing returning id',
      [accountId, input.email.trim(), input.name.trim(), passwordHash],
    )
    if (made.length === 0) throw new Invalid('This address has an account already. Sign in instead.', 'email')
    await createStudio(tx, {
      studioId,
      name: input.studioName.trim(),
      ...(input.timeZone ? { timeZone: input.timeZone } : {}),
      ...(input.units ? { units: input.units } : {}),
    })
    await tx.q('insert into account_studio (studio_id, account_id) values ($1, $2)', [studioId, accountId])
  })
  return openSession(accountId, studioId)
}

/**
 * Signs in with address and password.
 * @param from what the tries are counted by besides the address, such as the caller's network address
 * @throws Invalid when they do not match; FikaError TooOften after too many tries
 */
export async function signIn(email: string, password: string, from: string): Promise<Signed> {
  const keys = [`email:${email.trim().toLowerCase()}`, `from:${from}`]
  await refuseTooOften(keys)
  const { rows } = await pool().query<{ id: string; password_hash: string | null; studio_id: string }>(
    `select a.id, a.password_hash, s.studio_id from account a join account_studio s on s.account_id = a.id
     where a.email_key = lower(btrim($1)) order by s.studio_id limit 1`,
    [email],
  )
  const account = rows[0]
  decoy ??= hash(randomBytes(16).toString('hex'))
  const matches = await verify(account?.password_hash ?? (await decoy), password)
  if (!account || !matches) {
    await pool().query('insert into sign_in_try (key) select unnest($1::text[])', [keys])
    throw new Invalid('Address and password do not match. Check both, and try again.', 'password')
  }
  await pool().query('delete from sign_in_try where key = $1', [keys[0]])
  return openSession(account.id, account.studio_id)
}

async function refuseTooOften(keys: readonly string[]): Promise<void> {
  await pool().query(`delete from sign_in_try where at < now() - interval '1 day'`)
  const { rows } = await pool().query<{ key: string; tries: number }>(
    `select key, count(*)::int as tries from sign_in_try
     where key = any ($1) and at > now() - make_interval(mins => $2) group by key`,
    [keys, TRIES.minutes],
  )
  if (rows.some((r) => r.tries >= (r.key.startsWith('email:') ? TRIES.email : TRIES.from)))
    throw new FikaError('TooOften', `Too many tries. Wait ${TRIES.minutes} minutes, then try again.`)
}

/** Opens a session that the server can revoke; the token itself is kept nowhere but in the sealed cookie. */
export async function openSession(accountId: string, studioId: string): Promise<Signed> {
  const token = randomBytes(32).toString('base64url')
  await pool().query(
    `insert into session (token_hash, account_id, studio_id, expires_at) values ($1, $2, $3, now() + make_interval(days => $4))`,
    [tokenHash(token), accountId, studioId, SESSION_DAYS],
  )
  return { token, accountId, studioId }
}

export interface Session {
  readonly accountId: string
  readonly accountName: string
  readonly studioId: string
}

/** Who a token stands for; undefined when it is unknown, over or revoked. */
export async function findSession(token: string): Promise<Session | undefined> {
  const { rows } = await pool().query<{ account_id: string; name: string; studio_id: string }>(
    `select s.account_id, a.name, s.studio_id from session s join account a on a.id = s.account_id
     where s.token_hash = $1 and s.revoked_at is null and s.expires_at > now()`,
    [tokenHash(token)],
  )
  const row = rows[0]
  return row && { accountId: row.account_id, accountName: row.name, studioId: row.studio_id }
}

/** Ends a session, or every session of its account. */
export async function revokeSession(token: string, everywhere = false): Promise<void> {
  await pool().query(
    everywhere
      ? `update session set revoked_at = now() where revoked_at is null
         and account_id = (select account_id from session where token_hash = $1)`
      : 'update session set revoked_at = now() where token_hash = $1 and revoked_at is null',
    [tokenHash(token)],
  )
}
