import { NotFound } from '@/core/errors'
import type { Tx } from '../withStudio'
import { book, type Booked } from './book'

export interface BuyContainer {
  readonly requestId: string
  readonly materialId: string
  /** Made by the caller (UUIDv7): the lot and the container it stands in. */
  readonly lotId: string
  readonly vesselId: string
  readonly label: string
  readonly sizeUl: number
  readonly priceMinor: number | null
  readonly at?: Date | undefined
}

/** Buys one container: a lot with its price really paid, and a vessel that holds it all. @throws NotFound */
export async function buyContainer(tx: Tx, buy: BuyContainer): Promise<Booked> {
  return book(tx, {
    kind: 'purchase',
    requestId: buy.requestId,
    payload: { materialId: buy.materialId, sizeUl: buy.sizeUl, priceMinor: buy.priceMinor, label: buy.label },
    vessels: [],
    at: buy.at,
    async decide() {
      const [material] = await tx.q('select 1 from material where studio_id = $1 and id = $2', [
        tx.studioId,
        buy.materialId,
      ])
      if (!material) throw new NotFound('paint or medium')
      await tx.q(
        `insert into lot (studio_id, id, material_id, tracked, label, size_ul, price_minor, opened_at)
         values ($1, $2, $3, true, $4, $5, $6, coalesce($7, now()))`,
        [tx.studioId, buy.lotId, buy.materialId, buy.label, buy.sizeUl, buy.priceMinor, buy.at ?? null],
      )
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, capacity_ul, created_at)
         values ($1, $2, 'container', $3, null, coalesce($4, now()))`,
        [tx.studioId, buy.vesselId, buy.label, buy.at ?? null],
      )
      return [{ lotId: buy.lotId, from: null, to: buy.vesselId, ul: buy.sizeUl }]
    },
  })
}
