import type { InferType } from 'yup'
import { NotFound } from '@/core/errors'
import type { Tx } from '../base/withStudio'
import type { houseWordSchema } from '../trials/schema'

/** A rule of the house in its own words, and the trial it came from. */
export interface HouseWord {
  readonly id: string
  readonly words: string
  readonly technique: string | null
  readonly trialId: string | null
  readonly saidAt: string
}

/** The house's own rules, newest first. */
export const houseWords = (tx: Tx): Promise<HouseWord[]> =>
  tx.q<HouseWord>(
    `select id, words, technique, trial_id as "trialId", said_at as "saidAt" from house_word
     where studio_id = $1 and dropped_at is null order by said_at desc limit 200`,
    [tx.studioId],
  )

/** Keeps a rule; the same one sent again counts once. */
export async function sayHouseWord(tx: Tx, w: InferType<typeof houseWordSchema>): Promise<void> {
  await tx.q(
    `insert into house_word (studio_id, id, words, technique, trial_id, by) values ($1, $2, $3, $4, $5, $6)
     on conflict (studio_id, id) do nothing`,
    [tx.studioId, w.id, w.words, w.technique, w.trialId, tx.accountId],
  )
}

/** Takes a rule off the list. @throws NotFound */
export async function dropHouseWord(tx: Tx, id: string): Promise<void> {
  const done = await tx.q(
    'update house_word set dropped_at = coalesce(dropped_at, now()) where studio_id = $1 and id = $2 returning 1',
    [tx.studioId, id],
  )
  if (done.length === 0) throw new NotFound('rule')
}
