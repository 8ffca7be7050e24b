import { Invalid } from '@/core/errors'
import { takeFrom, type Portion } from '@/core/vessel/content'
import type { Tx } from '../withStudio'
import { book, type Booked, type Line } from './book'

export interface PourInput {
  readonly requestId: string
  /** The vessel that stands for the surface; made here. */
  readonly vesselId: string
  readonly title: string
  readonly takes: readonly { vesselId: string; ul: number }[]
  readonly at?: Date | undefined
}

/**
 * Pours from bottles onto a surface in one movement, all or nothing. A bottle that is named twice (cup and reserve)
 * gives the sum.
 * @throws NotEnough naming the first bottle that holds too little
 */
export async function pour(tx: Tx, input: PourInput): Promise<Booked> {
  const takes = new Map<string, number>()
  for (const t of input.takes) if (t.ul > 0) takes.set(t.vesselId, (takes.get(t.vesselId) ?? 0) + t.ul)
  if (takes.size === 0) throw new Invalid('Nothing is poured. Set an amount for at least one bottle.')
  return book(tx, {
    kind: 'pour',
    requestId: input.requestId,
    payload: { takes: [...takes], title: input.title },
    vessels: [...takes.keys()],
    at: input.at,
    async decide(held) {
      const lines: Line[] = []
      for (const [id, ul] of takes)
        lines.push(...takeFrom(held(id), ul).map((p: Portion) => ({ ...p, from: id, to: input.vesselId })))
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, created_at) values ($1, $2, 'pour', $3, coalesce($4, now()))`,
        [tx.studioId, input.vesselId, input.title, input.at ?? null],
      )
      return lines
    },
  })
}
