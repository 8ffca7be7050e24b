import { Invalid } from '@/core/errors'
import type { Tx } from '../base/withStudio'
import { book, type Booked } from './book'
import { bottleLines, perBottle, type FromBottle } from './lots'

export interface PourInput {
  readonly requestId: string
  /** The vessel that stands for the surface; made here. */
  readonly vesselId: string
  readonly title: string
  readonly takes: readonly FromBottle[]
  /** What was poured from a bottle beyond its books is a measuring gain, instead of NotEnough. */
  readonly findRest?: boolean
  readonly at?: Date | undefined
}

/**
 * Pours from bottles onto a surface in one movement, all or nothing. A bottle that is named twice (cup and reserve)
 * gives the sum.
 * @throws NotEnough naming the first bottle that holds too little
 */
export async function pour(tx: Tx, input: PourInput): Promise<Booked> {
  const takes = perBottle(input.takes)
  if (takes.length === 0) throw new Invalid('Nothing is poured. Set an amount for at least one bottle.')
  return book(tx, {
    kind: 'pour',
    requestId: input.requestId,
    payload: { takes: takes.map((t) => [t.vesselId, t.ul]), title: input.title },
    vessels: takes.map((t) => t.vesselId),
    at: input.at,
    async decide(held) {
      const lines = bottleLines(takes, input.vesselId, held, input.findRest)
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, created_at) values ($1, $2, 'pour', $3, coalesce($4, now()))`,
        [tx.studioId, input.vesselId, input.title, input.at ?? null],
      )
      return lines
    },
  })
}
