import { Conflict } from '@/core/errors'
import { contentKey, contentUl } from '@/core/vessel/content'
import { weighIn, type Loss } from '@/core/vessel/weighIn'
import type { Tx } from '../base/withStudio'
import type { Booked } from '../ledger'
import { lotFacts } from '../ledger/lots'
import { sink } from '../ledger/sinks'
import { bookMix } from './settle'
import { moveWater } from './water'

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
  const booked = await bookMix(tx, {
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
