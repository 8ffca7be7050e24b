import { Conflict, NotFound } from '@/core/errors'
import { isId, withStudio, type Tx } from '../base/withStudio'
import { makeLinkToken, readLinkToken } from './linkToken'

export interface WorkLink {
  readonly id: string
  readonly forWhom: string
  readonly by: string
  readonly endsAt: string
}

const OPEN = 'l.ended_at is null and l.ends_at > now()'

/** Links by which a work's sketches can be looked at now. */
export async function workLinks(tx: Tx, workId: string): Promise<WorkLink[]> {
  return tx.q<WorkLink>(
    `select l.id, l.for_whom as "forWhom", coalesce(a.name, '') as by, l.ends_at as "endsAt"
     from work_link l left join account a on a.id = l.by
     where l.studio_id = $1 and l.work_id = $2 and ${OPEN} order by l.made_at desc, l.id`,
    [tx.studioId, workId],
  )
}

/**
 * Makes a link to the sketches of a work; it is told once and kept nowhere.
 * @returns its token
 * @throws Conflict where it was made already
 */
export async function makeWorkLink(
  tx: Tx,
  { id, workId, forWhom, days }: { id: string; workId: string; forWhom: string; days: number },
): Promise<string> {
  const { token, hash } = makeLinkToken(tx.studioId)
  const made = await tx.q(
    `insert into work_link (studio_id, id, work_id, for_whom, token_hash, by, ends_at)
     select $1, $2, w.id, $4, $5, $6, now() + make_interval(days => $7) from work w where w.studio_id = $1 and w.id = $3
     on conflict (studio_id, id) do nothing returning 1`,
    [tx.studioId, id, workId, forWhom, hash, tx.accountId, days],
  )
  if (made.length) return token
  const there = await tx.q('select 1 from work_link where studio_id = $1 and id = $2', [tx.studioId, id])
  if (there.length) throw new Conflict('That link was made already. End it, and make a new one.')
  throw new NotFound('work')
}

/** Ends a link. @throws NotFound where it is not open any more */
export async function endWorkLink(tx: Tx, { id }: { id: string }): Promise<void> {
  const gone = await tx.q(
    `update work_link l set ended_at = now() where l.studio_id = $1 and l.id = $2 and ${OPEN} returning 1`,
    [tx.studioId, id],
  )
  if (gone.length === 0) throw new NotFound('link')
}

/**
 * Reads for whoever holds the link of a work, inside its studio and as what it is: a transaction that reads only.
 * @returns undefined where the link is none or has ended
 */
export async function behindWorkLink<T>(
  token: string,
  read: (tx: Tx, workId: string, endsAt: string) => Promise<T>,
): Promise<T | undefined> {
  const link = readLinkToken(token)
  if (!link || !isId(link.studioId)) return undefined
  return withStudio({ studioId: link.studioId, accountId: null }, async (tx) => {
    await tx.q('set transaction read only')
    const [found] = await tx.q<{ work_id: string; ends_at: string }>(
      `select l.work_id, l.ends_at from work_link l where l.studio_id = $1 and l.token_hash = $2 and ${OPEN}`,
      [tx.studioId, link.hash],
    )
    return found && read(tx, found.work_id, found.ends_at)
  })
}
