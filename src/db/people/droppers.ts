import type { InferType } from 'yup'
import { NotFound } from '@/core/errors'
import { countedDropUl, type Drip } from '@/core/quantity/dropSizes'
import type { Tx } from '../base/withStudio'
import type { CountDrops, takeDropperSchema } from './dropperSchema'

/** A dropper, bottle tip or pipette of the studio. */
export interface Dropper {
  readonly id: string
  readonly name: string
  readonly drip: Drip
  /** Volume of one drop, µl. */
  readonly dropUl: number
  readonly inUse: boolean
}

export const listDroppers = (tx: Tx): Promise<Dropper[]> =>
  tx.q<Dropper>(
    `select id, name, drip, drop_nl / 1000.0 as "dropUl", in_use as "inUse" from dropper
     where studio_id = $1 order by drip, made_at, id`,
    [tx.studioId],
  )

/**
 * Keeps a dropper by its drops counted into a weighed cup, and takes it into use; counted again, it is the newer count.
 * @throws Invalid for too few drops, or a weight that no drops have
 */
export async function countDrops(tx: Tx, c: CountDrops): Promise<void> {
  const dropUl = countedDropUl(c.count, c.massMg, c.densityGPerMl)
  await tx.q(
    `insert into dropper (studio_id, id, name, drip, drop_nl) values ($1, $2, $3, $4, $5)
     on conflict (studio_id, id) do update set name = excluded.name, drip = excluded.drip, drop_nl = excluded.drop_nl, in_use = false`,
    [tx.studioId, c.id, c.name, c.drip, Math.round(1000 * dropUl)],
  )
  await takeDropper(tx, { drip: c.drip, id: c.id })
}

/** Takes a dropper into use for its liquid, or none of one's own. @throws NotFound */
export async function takeDropper(tx: Tx, { drip, id }: InferType<typeof takeDropperSchema>): Promise<void> {
  await tx.q('update dropper set in_use = false where studio_id = $1 and drip = $2 and in_use', [tx.studioId, drip])
  if (!id) return
  const taken = await tx.q(
    'update dropper set in_use = true where studio_id = $1 and id = $2 and drip = $3 returning 1',
    [tx.studioId, id, drip],
  )
  if (taken.length === 0) throw new NotFound('dropper')
}

/** Forgets a dropper that is lost or broken. @throws NotFound */
export async function dropDropper(tx: Tx, { id }: { id: string }): Promise<void> {
  const gone = await tx.q('delete from dropper where studio_id = $1 and id = $2 returning 1', [tx.studioId, id])
  if (gone.length === 0) throw new NotFound('dropper')
}
