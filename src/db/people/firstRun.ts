import type { Tx } from '@/db/base/withStudio'

/** What of the order of work a new studio has done. */
export interface FirstRun {
  readonly starter: boolean
  readonly paints: boolean
  readonly plans: boolean
  readonly bottles: boolean
  readonly pieces: boolean
}

/** Whether there is one yet of each thing a studio begins with. */
export async function firstRun(tx: Tx): Promise<FirstRun> {
  const [row] = await tx.q<FirstRun>(
    `select exists (select from cup_size where studio_id = $1) or exists (select from drying_place where studio_id = $1) as starter,
       exists (select from paint where studio_id = $1) as paints,
       exists (select from plan where studio_id = $1) as plans,
       exists (select from bottle where studio_id = $1) as bottles,
       exists (select from piece where studio_id = $1) as pieces`,
    [tx.studioId],
  )
  return row!
}
