import { Conflict, FikaError, NotFound } from '@/core/errors'
import type { Role } from '@/core/people/roles'
import { isId, withStudio, type Tx } from '../base/withStudio'
import { makeLinkToken, readLinkToken } from './linkToken'
import { addMember } from './members'
import { ownersOnly } from './ownersOnly'

/** An invitation holds so long, days. */
export const INVITATION_DAYS = 7

export interface Invitation {
  readonly id: string
  readonly role: Role
  readonly forWhom: string
  readonly by: string
  readonly madeAt: string
  readonly endsAt: string
}

/** A word of what an invitation lets into, for whoever holds the link. */
export interface Invited {
  readonly studioId: string
  readonly studioName: string
  readonly role: Role
  readonly by: string
}

const OPEN = 'i.used_at is null and i.withdrawn_at is null and i.ends_at > now()'

/** Invitations that still let somebody in. */
export async function openInvitations(tx: Tx): Promise<Invitation[]> {
  return tx.q<Invitation>(
    `select i.id, i.role, i.for_whom as "forWhom", coalesce(a.name, '') as by, i.made_at as "madeAt", i.ends_at as "endsAt"
     from invitation i left join account a on a.id = i.by
     where i.studio_id = $1 and ${OPEN} order by i.made_at desc, i.id`,
    [tx.studioId],
  )
}

/**
 * Makes an invitation. Its link is told once and kept nowhere.
 * @returns the token of the link
 * @throws Forbidden where whoever acts is no owner; Conflict where it was made already, as its link cannot be told again
 */
export async function invite(
  tx: Tx,
  { id, role, forWhom }: { id: string; role: Role; forWhom: string },
): Promise<string> {
  ownersOnly(tx)
  const { token, hash } = makeLinkToken(tx.studioId)
  const made = await tx.q(
    `insert into invitation (studio_id, id, role, for_whom, token_hash, by, ends_at)
     values ($1, $2, $3, $4, $5, $6, now() + make_interval(days => $7))
     on conflict (studio_id, id) do nothing returning 1`,
    [tx.studioId, id, role, forWhom, hash, tx.accountId, INVITATION_DAYS],
  )
  if (made.length === 0) throw new Conflict('That invitation was made already. Withdraw it, and make a new one.')
  tx.touched.add('people')
  return token
}

/** Takes an invitation back. @throws NotFound where it is not open any more */
export async function withdrawInvitation(tx: Tx, { id }: { id: string }): Promise<void> {
  ownersOnly(tx)
  const gone = await tx.q(
    `update invitation i set withdrawn_at = now() where i.studio_id = $1 and i.id = $2 and ${OPEN} returning 1`,
    [tx.studioId, id],
  )
  if (gone.length === 0) throw new NotFound('invitation')
  tx.touched.add('people')
}

/** What an open invitation lets into; undefined where the link is none, was used, was withdrawn or has ended. */
export async function findInvitation(token: string): Promise<Invited | undefined> {
  const link = readLinkToken(token)
  if (!link || !isId(link.studioId)) return undefined
  const [found] = await withStudio({ studioId: link.studioId, accountId: null }, (tx) =>
    tx.q<Omit<Invited, 'studioId'>>(
      `select s.name as "studioName", i.role, coalesce(a.name, '') as by
       from invitation i join studio s on s.studio_id = i.studio_id left join account a on a.id = i.by
       where i.studio_id = $1 and i.token_hash = $2 and ${OPEN}`,
      [tx.studioId, link.hash],
    ),
  )
  return found && { studioId: link.studioId, ...found }
}

/** What is said where a link lets nobody in. */
export const LINK_OVER = 'This invitation was used, was withdrawn or has ended. Ask the studio for a new one.'

/**
 * Lets an account in by an invitation, which is used up with it. Somebody who is in already keeps their role, and the
 * invitation stays for whom it was meant.
 * @returns the studio
 * @throws FikaError NotFound where it lets nobody in any more
 */
export async function acceptInvitation(token: string, accountId: string): Promise<string> {
  const link = readLinkToken(token)
  if (!link || !isId(link.studioId)) throw new FikaError('NotFound', LINK_OVER)
  await withStudio({ studioId: link.studioId, accountId: null }, async (tx) => {
    const inside = await tx.q(
      'select 1 from account_studio where studio_id = $1 and account_id = $2 and ended_at is null',
      [tx.studioId, accountId],
    )
    if (inside.length) return
    const [used] = await tx.q<{ role: Role }>(
      `update invitation i set used_by = $3, used_at = now()
       where i.studio_id = $1 and i.token_hash = $2 and ${OPEN} returning i.role`,
      [tx.studioId, link.hash, accountId],
    )
    if (!used) throw new FikaError('NotFound', LINK_OVER)
    await addMember(tx, accountId, used.role)
    tx.touched.add('people')
  })
  return link.studioId
}
