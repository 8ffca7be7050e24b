import { Invalid } from '@/core/errors'
import { takeFrom } from '@/core/vessel/content'
import type { Tx } from '../base/withStudio'
import { book, type Booked } from './book'
import { sink } from './sinks'

/** What leaves one pour, of its own mean composition. */
export interface OffPour {
  /** The vessel of the pour. */
  readonly vesselId: string
  readonly ul: number
}

/**
 * Books what ran off pours and was not kept as waste.
 * @throws NotEnough where more is named than a pour still holds
 */
export async function wasteRunOff(
  tx: Tx,
  r: { requestId: string; from: readonly OffPour[]; at?: Date | undefined },
): Promise<Booked> {
  const from = r.from.filter((f) => f.ul > 0)
  if (from.length === 0) throw new Invalid('Nothing ran off, so there is nothing to book.')
  const waste = await sink(tx, 'waste')
  return book(tx, {
    kind: 'run-off',
    requestId: r.requestId,
    payload: { from: from.map((f) => [f.vesselId, f.ul]) },
    vessels: from.map((f) => f.vesselId),
    sinks: [waste],
    at: r.at,
    decide: (held) =>
      from.flatMap((f) => takeFrom(held(f.vesselId), f.ul).map((p) => ({ ...p, from: f.vesselId, to: waste }))),
  })
}
