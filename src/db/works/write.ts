import { Conflict, NotFound } from '@/core/errors'
import type { Tx } from '../base/withStudio'
import type { WorkInput } from './schema'

/** Keeps a work, new or changed. @throws Conflict when somebody else changed it since it was opened */
export async function saveWork(tx: Tx, w: WorkInput): Promise<{ revision: number }> {
  const values = [w.kind, w.title, w.dueOn, w.forWhom, w.agreedOn, w.agreedText, w.priceMinor, w.notes]
  const [written] = await tx.q<{ revision: number }>(
    `insert into work (studio_id, id, kind, title, due_on, for_whom, agreed_on, agreed_text, price_minor, notes)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (studio_id, id) do update set kind = excluded.kind, title = excluded.title, due_on = excluded.due_on,
       for_whom = excluded.for_whom, agreed_on = excluded.agreed_on, agreed_text = excluded.agreed_text,
       price_minor = excluded.price_minor, notes = excluded.notes, revision = work.revision + 1, updated_at = now()
     where work.revision = $11
       or (work.kind, work.title, work.due_on, work.for_whom, work.agreed_on, work.agreed_text, work.price_minor, work.notes)
         is not distinct from (excluded.kind, excluded.title, excluded.due_on, excluded.for_whom, excluded.agreed_on,
           excluded.agreed_text, excluded.price_minor, excluded.notes)
     returning revision`,
    [tx.studioId, w.id, ...values, w.revision],
  )
  if (!written)
    throw new Conflict(
      'Somebody else changed this work since you opened it. Open it in another tab, and bring over what you changed here.',
    )
  return written
}

/** Puts a work away; its plans stay. @throws NotFound */
export async function dropWork(tx: Tx, id: string): Promise<void> {
  const done = await tx.q(
    'update work set archived_at = coalesce(archived_at, now()) where studio_id = $1 and id = $2 returning 1',
    [tx.studioId, id],
  )
  if (done.length === 0) throw new NotFound('work')
}
