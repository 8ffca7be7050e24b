import { createHash, randomBytes } from 'node:crypto'
import { NotFound } from '@/core/errors'
import type { Role } from '@/core/people/roles'
import { announce } from '../base/announce'
import { isId, type Tx } from '../base/withStudio'
import { pool, preparedAs } from '../base/pool'

/** A session lasts this long, and this long without being used. ASVS 4.0.3, 3.3.2: thirty days, or less when idle. */
const SESSION_DAYS = 30
const IDLE_DAYS = 14
/** How often its last use is written down, in minutes. */
const NOTED_MINUTES = 5

const STANDS = `s.expires_at > now() and s.last_used_at > now() - interval '${IDLE_DAYS} days'`

export interface Signed {
  readonly token: string
  readonly accountId: string
  readonly studioId: string
}

export interface Session {
  readonly sessionId: string
  readonly accountId: string
  readonly accountName: string
  readonly studioId: string
  readonly role: Role
}

const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex')

/**
 * Opens a session that the server can end; the token itself is kept nowhere but in the sealed cookie.
 * @param device what it was opened on, in a word or two
 */
export async function openSession(accountId: string, studioId: string, device = ''): Promise<Signed> {
  const token = randomBytes(32).toString('base64url')
  await pool().query(`delete from session s where not (${STANDS})`)
  await pool().query(
    `insert into session (token_hash, account_id, studio_id, expires_at, device)
     values ($1, $2, $3, now() + make_interval(days => $4), $5)`,
    [tokenHash(token), accountId, studioId, SESSION_DAYS, device],
  )
  return { token, accountId, studioId }
}

/** Who a token stands for; undefined when it is unknown, over or ended. */
export async function findSession(token: string): Promise<Session | undefined> {
  const { rows } = await pool().query<{
    id: string
    account_id: string
    name: string
    studio_id: string
    role: Role
    stale: boolean
  }>({
    ...preparedAs('find_session'),
    text: `select s.id, s.account_id, a.name, s.studio_id, m.role,
       s.last_used_at < now() - interval '${NOTED_MINUTES} minutes' as stale
     from session s join account a on a.id = s.account_id
     join account_studio m on m.studio_id = s.studio_id and m.account_id = s.account_id and m.ended_at is null
     where s.token_hash = $1 and ${STANDS}`,
    values: [tokenHash(token)],
  })
  const row = rows[0]
  if (row?.stale) await pool().query('update session set last_used_at = now() where id = $1', [row.id])
  return (
    row && {
      sessionId: row.id,
      accountId: row.account_id,
      accountName: row.name,
      studioId: row.studio_id,
      role: row.role,
    }
  )
}

export interface OwnSession {
  readonly id: string
  readonly device: string
  readonly openedAt: string
  readonly lastUsedAt: string
}

/** Sessions of an account, the one used last first. */
export async function sessionsOf(accountId: string): Promise<OwnSession[]> {
  const { rows } = await pool().query<OwnSession>(
    `select s.id, s.device, s.created_at as "openedAt", s.last_used_at as "lastUsedAt"
     from session s where s.account_id = $1 and ${STANDS} order by s.last_used_at desc, s.id`,
    [accountId],
  )
  return rows
}

/** Removes sessions and tells every open line of theirs to end, on whatever server it is. */
async function end(where: string, values: readonly unknown[]): Promise<number> {
  const { rows } = await pool().query<{ id: string; studio_id: string }>(
    `delete from session where ${where} returning id, studio_id`,
    [...values],
  )
  for (const s of rows) announce(s.studio_id, [`session ${s.id}`])
  return rows.length
}

/** Ends the sessions an account has in the studio it has to leave, once that is written. */
export async function endStudioSessions(tx: Tx, accountId: string): Promise<void> {
  const ended = await tx.q<{ id: string }>(
    'delete from session where studio_id = $1 and account_id = $2 returning id',
    [tx.studioId, accountId],
  )
  for (const s of ended) tx.touched.add(`session ${s.id}`)
}

/** Moves a session into another studio of its account. Lines that were open in the one before end. */
export async function moveSession(id: string, studioId: string): Promise<void> {
  const { rows } = await pool().query<{ before: string }>(
    `update session s set studio_id = $2 from session o where o.id = s.id and s.id = $1 returning o.studio_id as before`,
    [id, studioId],
  )
  for (const { before } of rows) if (before !== studioId) announce(before, [`session ${id}`])
}

/** Ends the session a token stands for. */
export const endSession = (token: string): Promise<number> => end('token_hash = $1', [tokenHash(token)])

/** Ends one of an account's own sessions. @throws NotFound where it has no such session */
export async function endOwnSession(accountId: string, id: string): Promise<void> {
  if (!isId(id) || (await end('account_id = $1 and id = $2', [accountId, id])) === 0) throw new NotFound('session')
}

/** Ends all sessions of an account but one. @returns how many were ended */
export const endOtherSessions = (accountId: string, keptId: string): Promise<number> =>
  end('account_id = $1 and id <> $2', [accountId, keptId])
