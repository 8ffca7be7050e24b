import { Invalid } from '@/core/errors'
import { contentUl, takeFrom } from '@/core/vessel/content'
import type { Tx } from '../base/withStudio'
import { book, type Booked } from './book'
import { sink } from './sinks'

interface Take {
  readonly requestId: string
  readonly vesselId: string
  readonly ul: number
  readonly note?: string
  readonly at?: Date | undefined
}

/** Takes paint out of a bottle for something that is not planned. @throws NotEnough naming the bottle; NotFound */
export async function takeOut(tx: Tx, take: Take): Promise<Booked> {
  if (!(take.ul > 0)) throw new Invalid('Type how much was taken, more than nothing.', 'amount')
  const out = await sink(tx, 'out')
  return book(tx, {
    kind: 'take-out',
    requestId: take.requestId,
    payload: { vesselId: take.vesselId, ul: take.ul },
    vessels: [take.vesselId],
    sinks: [out],
    note: take.note ?? '',
    at: take.at,
    decide: (held) => takeFrom(held(take.vesselId), take.ul).map((p) => ({ ...p, from: take.vesselId, to: out })),
  })
}

/** Throws away all a bottle holds, and marks it empty. @throws Invalid when it is empty already; NotFound */
export async function discard(tx: Tx, what: Omit<Take, 'ul'>): Promise<Booked> {
  const waste = await sink(tx, 'waste')
  return book(tx, {
    kind: 'discard',
    requestId: what.requestId,
    payload: { vesselId: what.vesselId },
    vessels: [what.vesselId],
    sinks: [waste],
    note: what.note ?? '',
    at: what.at,
    decide(held) {
      const { content, label } = held(what.vesselId)
      if (contentUl(content) === 0) throw new Invalid(`${label} is empty already. Wash it, and mix into it again.`)
      return content.map((p) => ({ ...p, from: what.vesselId, to: waste }))
    },
  })
}
