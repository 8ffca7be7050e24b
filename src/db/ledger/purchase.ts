import { Invalid, NotFound } from '@/core/errors'
import { splitPrice } from '@/core/purchase/offers'
import type { Tx } from '../base/withStudio'
import { book, type Booked } from './book'

export interface BoughtContainer {
  readonly materialId: string
  /** Made by the caller (UUIDv7): the lot and the container it stands in. */
  readonly lotId: string
  readonly vesselId: string
  readonly label: string
  readonly sizeUl: number
}

export interface BuyContainer extends BoughtContainer {
  readonly requestId: string
  readonly priceMinor: number | null
  readonly at?: Date | undefined
}

/** Buys one container: a lot with its price really paid, and a vessel that holds it all. @throws NotFound */
export const buyContainer = (tx: Tx, { requestId, priceMinor, at, ...container }: BuyContainer): Promise<Booked> =>
  buyTogether(tx, { requestId, totalMinor: priceMinor, containers: [{ ...container, worth: 1 }], at })

export interface BuyTogether {
  readonly requestId: string
  /** What was paid for all of them; null where it is not known. */
  readonly totalMinor: number | null
  /** `worth` is the list price, or the volume where that is not known: the price is split in proportion to it. */
  readonly containers: readonly (BoughtContainer & { readonly worth: number })[]
  readonly note?: string
  readonly at?: Date | undefined
}

/**
 * Buys several containers at once: a boxed set, or some for the price of fewer. One movement, the price split over
 * them to the last cent.
 * @throws NotFound, Invalid for an empty purchase
 */
export async function buyTogether(tx: Tx, buy: BuyTogether): Promise<Booked> {
  const { containers, totalMinor } = buy
  if (containers.length === 0) throw new Invalid('Nothing was bought. Add at least one container.')
  return book(tx, {
    kind: 'purchase',
    requestId: buy.requestId,
    payload: { totalMinor, containers },
    vessels: [],
    at: buy.at,
    note: buy.note ?? '',
    async decide() {
      const ids = [...new Set(containers.map((c) => c.materialId))]
      const known = await tx.q('select 1 from material where studio_id = $1 and id = any ($2)', [tx.studioId, ids])
      if (known.length !== ids.length) throw new NotFound('paint or medium')
      const prices =
        totalMinor === null
          ? containers.map(() => null)
          : splitPrice(
              totalMinor,
              containers.map((c) => c.worth),
            )
      const column = <T>(pick: (c: BoughtContainer) => T) => containers.map(pick)
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, created_at)
         select $1, v.id, 'container', v.label, coalesce($4, now()) from unnest($2::uuid[], $3::text[]) as v (id, label)`,
        [tx.studioId, column((c) => c.vesselId), column((c) => c.label), buy.at ?? null],
      )
      await tx.q(
        `insert into lot (studio_id, id, material_id, tracked, label, size_ul, price_minor, container_id, opened_at)
         select $1, l.id, l.material_id, true, l.label, l.size_ul, l.price_minor, l.container_id, coalesce($8, now())
         from unnest($2::uuid[], $3::uuid[], $4::text[], $5::bigint[], $6::bigint[], $7::uuid[])
           as l (id, material_id, label, size_ul, price_minor, container_id)`,
        [
          tx.studioId,
          column((c) => c.lotId),
          column((c) => c.materialId),
          column((c) => c.label),
          column((c) => c.sizeUl),
          prices,
          column((c) => c.vesselId),
          buy.at ?? null,
        ],
      )
      return containers.map((c) => ({ lotId: c.lotId, from: null, to: c.vesselId, ul: c.sizeUl }))
    },
  })
}
