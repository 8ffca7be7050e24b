import { Conflict, NotFound } from '@/core/errors'
import type { Role } from '@/core/people/roles'
import { pool } from '../base/pool'
import { withStudio, type Tx } from '../base/withStudio'
import { createStudio } from './newStudio'
import { ownersOnly } from './ownersOnly'
import { endStudioSessions, moveSession, type Session } from './sessions'

export interface Member {
  readonly accountId: string
  readonly name: string
  readonly role: Role
  readonly since: string
  /** When they left; null while they are in. */
  readonly endedAt: string | null
  /** When they last did something that stands in the journal. */
  readonly lastDid: string | null
}

/** Who is in the studio, owners first, then those who have left. */
export async function listMembers(tx: Tx): Promise<Member[]> {
  return tx.q<Member>(
    `select s.account_id as "accountId", a.name, s.role, s.since, s.ended_at as "endedAt",
       (select max(m.at) from movement m where m.studio_id = $1 and m.by = s.account_id) as "lastDid"
     from account_studio s join account a on a.id = s.account_id
     where s.studio_id = $1
     order by s.ended_at nulls first, array_position(array['owner', 'maker', 'visitor'], s.role), a.name, s.account_id`,
    [tx.studioId],
  )
}

/** Lets an account into the studio with a role; one that was in before comes back. */
export async function addMember(tx: Tx, accountId: string, role: Role): Promise<void> {
  await tx.q(
    `insert into account_studio (studio_id, account_id, role) values ($1, $2, $3)
     on conflict (studio_id, account_id) do update set role = excluded.role, ended_at = null, since = now()
     where account_studio.ended_at is not null`,
    [tx.studioId, accountId, role],
  )
}

/** @throws NotFound where they are not in; Conflict where no owner would be left */
export async function giveRole(tx: Tx, member: { accountId: string; role: Role }): Promise<void> {
  ownersOnly(tx)
  const given = await tx.q(
    `update account_studio set role = $3 where studio_id = $1 and account_id = $2 and ended_at is null returning 1`,
    [tx.studioId, member.accountId, member.role],
  )
  if (given.length === 0) throw new NotFound('member')
  tx.touched.add('people')
}

/** Ends somebody's time in the studio; what they did stays in the journal, and their open tabs are told. */
async function endMember(tx: Tx, accountId: string): Promise<void> {
  const ended = await tx.q(
    `update account_studio set ended_at = now() where studio_id = $1 and account_id = $2 and ended_at is null returning 1`,
    [tx.studioId, accountId],
  )
  if (ended.length === 0) throw new NotFound('member')
  tx.touched.add('people')
  await endStudioSessions(tx, accountId)
}

/** An owner removes somebody. @throws NotFound, Conflict as above; Invalid where it is oneself */
export async function removeMember(tx: Tx, { accountId }: { accountId: string }): Promise<void> {
  ownersOnly(tx)
  if (accountId === tx.accountId) throw new Conflict('That is you. To go, use “Leave this studio” below your name.')
  await endMember(tx, accountId)
}

/**
 * Leaves the studio one is in now. A visitor may too, so it is the studio itself that writes it.
 * @throws Conflict where no owner would be left
 */
export async function leaveStudio(who: Session): Promise<void> {
  await withStudio({ studioId: who.studioId, accountId: null }, (tx) => endMember(tx, who.accountId))
}

export interface Membership {
  readonly studioId: string
  readonly name: string
  readonly role: Role
}

/** Studios an account is in, the one opened last first. A studio's name is read inside it. */
export async function studiosOf(accountId: string): Promise<Membership[]> {
  const { rows } = await pool().query<{ studio_id: string; role: Role }>(
    `select studio_id, role from account_studio where account_id = $1 and ended_at is null
     order by opened_at desc, studio_id limit 50`,
    [accountId],
  )
  const found: Membership[] = []
  for (const { studio_id: studioId, role } of rows) {
    const [row] = await withStudio({ studioId, accountId }, (tx) =>
      tx.q<{ name: string }>('select name from studio where studio_id = $1', [tx.studioId]),
    )
    if (row) found.push({ studioId, name: row.name, role })
  }
  return found
}

/** Opens another of one's studios in this session. @throws NotFound where one is not in it */
export async function openStudio(who: Session, { studioId }: { studioId: string }): Promise<void> {
  if (studioId === who.studioId) return
  const { rowCount } = await pool().query(
    'update account_studio set opened_at = now() where account_id = $1 and studio_id = $2 and ended_at is null',
    [who.accountId, studioId],
  )
  if (!rowCount) throw new NotFound('studio of yours')
  await moveSession(who.sessionId, studioId)
}

/** Starts one more studio for somebody who has an account, once, and opens it. */
export async function foundStudio(who: Session, { id, name }: { id: string; name: string }): Promise<void> {
  await withStudio({ studioId: id, accountId: null }, async (tx) => {
    const there = await tx.q('select 1 from account_studio where studio_id = $1 and account_id = $2', [
      id,
      who.accountId,
    ])
    if (there.length) return
    await createStudio(tx, { studioId: id, name })
    await addMember(tx, who.accountId, 'owner')
  })
  await openStudio(who, { studioId: id })
}
