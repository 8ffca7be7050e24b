import { Conflict, Invalid } from '@/core/errors'
import { contentKey, contentUl, takeFrom } from '@/core/vessel/content'
import { weighIn, type Loss } from '@/core/vessel/weighIn'
import type { Tx } from '../base/withStudio'
import { book, type Booked } from './book'
import { lotFacts } from './lots'
import { sink } from './sinks'
import { moveWater } from './water'

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

export interface WeighInBottle {
  readonly requestId: string
  readonly vesselId: string
  readonly grossMg: number
  readonly tareMg: number
  readonly named?: Loss | undefined
  /** What the books said of it when it was weighed, as `contentKey` says it; where it was weighed just now: nothing. */
  readonly heldAs?: string
  readonly at?: Date | undefined
}

/** Books a bottle by weight: evaporation to the air, a named loss to waste, too much as a gain. @throws Invalid; Conflict */
export async function weighInBottle(tx: Tx, weigh: WeighInBottle): Promise<Booked & { measuredUl: number | null }> {
  const [air, waste] = [await sink(tx, 'air'), await sink(tx, 'waste')]
  const id = weigh.vesselId
  let measuredUl: number | null = null
  let moved = { beforeUl: 0, afterUl: 0, waterUl: 0 }
  const booked = await book(tx, {
    kind: 'weigh-in',
    requestId: weigh.requestId,
    payload: { vesselId: id, grossMg: weigh.grossMg, tareMg: weigh.tareMg, named: weigh.named },
    vessels: [id],
    sinks: [air, waste],
    loss: weigh.named,
    note: `${weigh.grossMg / 1000} g gross, ${weigh.tareMg / 1000} g tare`,
    at: weigh.at,
    async decide(held) {
      if (weigh.heldAs !== undefined && contentKey(held(id).content) !== weigh.heldAs)
        throw new Conflict(`${held(id).label} has changed since it was weighed. Weigh it again.`)
      const facts = await lotFacts(
        tx,
        held(id).content.map((p) => p.lotId),
      )
      const content = held(id).content.map((p) => ({ ...p, ...facts.get(p.lotId)! }))
      const found = weighIn({ grossMg: weigh.grossMg, tareMg: weigh.tareMg, content, named: weigh.named })
      measuredUl = found.measuredUl
      const beforeUl = contentUl(content)
      moved = { beforeUl, afterUl: beforeUl - contentUl(found.evaporated), waterUl: -found.waterUl }
      return [
        ...found.evaporated.map((p) => ({ ...p, from: id, to: air })),
        ...found.lost.map((p) => ({ ...p, from: id, to: waste })),
        ...found.gained.map((p) => ({ ...p, from: null, to: id })),
      ]
    },
    async follow() {
      if (moved.waterUl < 0) await moveWater(tx, id, moved)
      await tx.q('update bottle set tare_mg = $3 where studio_id = $1 and vessel_id = $2', [
        tx.studioId,
        id,
        weigh.tareMg,
      ])
    },
  })
  return { ...booked, measuredUl }
}
