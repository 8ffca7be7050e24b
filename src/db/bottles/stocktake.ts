import { NotFound } from '@/core/errors'
import { groupBy } from '@/core/groupBy'
import { contentKey } from '@/core/vessel/content'
import { explain } from '@/core/vessel/stocktake'
import type { Loss } from '@/core/vessel/weighIn'
import { keepTare } from './edit'
import { portionsOf, type LotPortion } from './read'
import { weighInBottle } from '@/db/mixes'
import type { Tx } from '@/db/base/withStudio'

/** A weight taken in a stocktake that is not booked yet. */
export interface Weight {
  readonly vesselId: string
  /** Of this weight: another one of the same bottle has another. */
  readonly requestId: string
  readonly grossMg: number
  readonly tareMg: number
  /** Where a loss went that water cannot explain; null: nobody has said. */
  readonly named: Loss | null
  /** What the books said was in it then, see `contentKey`. */
  readonly heldAs: string
  readonly at: string
  /** Taken by who is asking. */
  readonly mine: boolean
}

const WEIGHT = `vessel_id as "vesselId", request_id as "requestId", gross_mg as "grossMg", tare_mg as "tareMg", named,
  held_as as "heldAs", at, by is not distinct from $2 as mine`

/** What an explanation of a weight needs to know of a portion. */
export const weighable = (p: LotPortion) => ({
  lotId: p.lotId,
  ul: p.ul,
  isWater: p.kind === 'water',
  densityGPerMl: p.densityGPerMl,
  solids: p.solids,
})

/** Weights of the stocktake under way, in the order they were taken. */
export const weightsTaken = (tx: Tx) =>
  tx.q<Weight>(`select ${WEIGHT} from stocktake_weight where studio_id = $1 order by at, vessel_id`, [
    tx.studioId,
    tx.accountId,
  ])

/** Keeps what one bottle weighs until the stocktake is booked, in place of an earlier weight of it. @throws NotFound */
export async function takeWeight(
  tx: Tx,
  weight: Pick<Weight, 'vesselId' | 'requestId' | 'grossMg' | 'tareMg'>,
): Promise<Weight> {
  const { vesselId, requestId, grossMg, tareMg } = weight
  const bottle = await tx.q('select 1 from bottle where studio_id = $1 and vessel_id = $2', [tx.studioId, vesselId])
  if (bottle.length === 0) throw new NotFound('bottle')
  const heldAs = contentKey(await portionsOf(tx, [vesselId]))
  const [row] = await tx.q<Weight>(
    `insert into stocktake_weight (studio_id, by, vessel_id, request_id, gross_mg, tare_mg, held_as) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (studio_id, vessel_id) do update set request_id = excluded.request_id, gross_mg = excluded.gross_mg,
       tare_mg = excluded.tare_mg, held_as = excluded.held_as, at = excluded.at, by = excluded.by, named = null
     returning ${WEIGHT}`,
    [tx.studioId, tx.accountId, vesselId, requestId, grossMg, tareMg, heldAs],
  )
  tx.touched.add('stocktake')
  return row!
}

/** Says where a loss went. @throws NotFound where that weight is booked, or taken anew */
export async function nameLoss(tx: Tx, line: Pick<Weight, 'vesselId' | 'requestId' | 'named'>): Promise<void> {
  const done = await tx.q(
    'update stocktake_weight set named = $4 where studio_id = $1 and vessel_id = $2 and request_id = $3 returning 1',
    [tx.studioId, line.vesselId, line.requestId, line.named],
  )
  if (done.length === 0) throw new NotFound('weight')
  tx.touched.add('stocktake')
}

/** Forgets a weight; one that is forgotten, booked or taken anew already stays as it is. */
export async function dropWeight(tx: Tx, line: Pick<Weight, 'vesselId' | 'requestId'>): Promise<void> {
  await tx.q('delete from stocktake_weight where studio_id = $1 and vessel_id = $2 and request_id = $3', [
    tx.studioId,
    line.vesselId,
    line.requestId,
  ])
  tx.touched.add('stocktake')
}

/**
 * Books the weights named, every difference as its own movement, all of them or none. What is as booked only leaves
 * its tare behind. A weight that is booked or taken anew since is passed over.
 * @throws Invalid where a loss is not explained; Conflict where a bottle has changed since it was weighed
 */
export async function bookWeights(tx: Tx, requestIds: readonly string[]): Promise<void> {
  // In one order everywhere, so that two stocktakes at once do not wait for each other in a ring.
  const lines = await tx.q<Weight>(
    `select ${WEIGHT} from stocktake_weight where studio_id = $1 and request_id = any ($3) order by vessel_id for update`,
    [tx.studioId, tx.accountId, requestIds],
  )
  const ids = lines.map((l) => l.vesselId)
  const content = groupBy(await portionsOf(tx, ids), (p) => p.vesselId)
  for (const { vesselId, requestId, grossMg, tareMg, named, heldAs } of lines) {
    const found = explain({
      grossMg,
      tareMg,
      content: (content.get(vesselId) ?? []).map(weighable),
      named: named ?? undefined,
    })
    if (found.kind === 'as booked' && contentKey(content.get(vesselId) ?? []) === heldAs)
      await keepTare(tx, vesselId, tareMg)
    else await weighInBottle(tx, { vesselId, requestId, grossMg, tareMg, named: named ?? undefined, heldAs })
  }
  await tx.q('delete from stocktake_weight where studio_id = $1 and vessel_id = any ($2)', [tx.studioId, ids])
  tx.touched.add('stocktake')
}
