import type { Body } from '@/core/paint/properties'
import type { Offer } from '@/core/purchase/offers'
import { IDLE_DAYS } from '@/core/purchase/rhythm'
import { onHand } from './onHand'
import { kindsThat } from '@/core/vessel/kinds'
import type { Tx } from '@/db/base/withStudio'

export interface ContainerRow {
  readonly lotId: string
  readonly vesselId: string
  readonly label: string
  readonly sizeUl: number
  readonly priceMinor: number | null
  readonly boughtAt: string
  readonly unsealedAt: string | null
  readonly finishedAt: string | null
  readonly leftUl: number
  /** What is wrong with it; '' where it is sound. */
  readonly flag: string
}

/** Bought containers of a material: those in use first, newest first. */
export function containersOf(tx: Tx, materialId: string): Promise<ContainerRow[]> {
  return tx.q<ContainerRow>(
    `select l.id as "lotId", v.id as "vesselId", v.label, l.size_ul as "sizeUl", l.price_minor as "priceMinor",
       l.opened_at as "boughtAt", l.unsealed_at as "unsealedAt", l.finished_at as "finishedAt", c.ul as "leftUl", l.flag
     from lot l
     join vessel v on v.studio_id = l.studio_id and v.id = l.container_id
     join vessel_content c on c.studio_id = l.studio_id and c.vessel_id = l.container_id and c.lot_id = l.id
     where l.studio_id = $1 and l.material_id = $2 and l.tracked
     order by l.finished_at is not null, l.opened_at desc, l.id`,
    [tx.studioId, materialId],
  )
}

export interface OfferRow {
  readonly id: string
  readonly materialId: string
  readonly supplier: string
  readonly sizeUl: number
  readonly listMinor: number
  readonly terms: Offer
  /** Days as `2026-05-31`. */
  readonly startsOn: string
  readonly endsOn: string | null
}

const OFFER = `id, material_id as "materialId", supplier, size_ul as "sizeUl", list_minor as "listMinor", terms,
  starts_on::text as "startsOn", ends_on::text as "endsOn"`

/** Sizes and offers of a material, newest first. */
export const offersOf = (tx: Tx, materialId: string): Promise<OfferRow[]> =>
  tx.q<OfferRow>(
    `select ${OFFER} from offer where studio_id = $1 and material_id = $2 order by starts_on desc, size_ul`,
    [tx.studioId, materialId],
  )

/** Every size and offer of the studio. */
export const allOffers = (tx: Tx): Promise<OfferRow[]> =>
  tx.q<OfferRow>(`select ${OFFER} from offer where studio_id = $1 order by material_id, starts_on, id`, [tx.studioId])

/** Days over which the pace of use is measured. */
export const PACE_DAYS = 180

/** What was mixed of each material over the last `PACE_DAYS`, µl. */
export async function paceOf(tx: Tx, now: Date): Promise<Map<string, number>> {
  const rows = await tx.q<{ material_id: string; ul: number }>(
    `select l.material_id, sum(line.ul)::bigint as ul
     from movement m
     join movement_line line on line.studio_id = m.studio_id and line.movement_id = m.id
     join lot l on l.studio_id = line.studio_id and l.id = line.lot_id
     where m.studio_id = $1 and m.kind in (${kindsThat((k) => k.uses === true)}) and m.at > $2
       and not exists (select from movement u where u.studio_id = m.studio_id and u.reverses_id = m.id)
     group by 1`,
    [tx.studioId, new Date(now.getTime() - PACE_DAYS * 86_400_000)],
  )
  return new Map(rows.map((r) => [r.material_id, r.ul]))
}

/** A paint with all that its price is judged by. */
export interface PricedPaint {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly hex: string
  readonly sheen: string
  readonly body: Body
  readonly sizeUl: number | null
  readonly priceMinor: number | null
  readonly lowUl: number | null
  readonly discontinued: boolean
  /** Null where nothing is counted. */
  readonly onHandUl: number | null
  readonly pacedUl: number
  readonly lastUsedAt: string | null
  readonly idle: boolean
}

/** Paints of the drawer with stock, pace and price. */
export async function pricedPaints(tx: Tx, now: Date): Promise<PricedPaint[]> {
  const rows = await tx.q<Omit<PricedPaint, 'onHandUl' | 'pacedUl' | 'idle'>>(
    `select m.id, m.name, m.maker, p.swatch_hex as hex, p.sheen, p.body, m.container_ul as "sizeUl", m.price_minor as "priceMinor",
       m.low_ul as "lowUl", m.discontinued_at is not null as discontinued,
       (select max(u.last_at) from material_use u
        where u.studio_id = m.studio_id and u.material_id = m.id and u.bottles > 0) as "lastUsedAt"
     from material m join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     where m.studio_id = $1 and m.archived_at is null order by m.maker_key, m.line_key, m.name_key`,
    [tx.studioId],
  )
  const [held, paced] = [await onHand(tx), await paceOf(tx, now)]
  return rows.map((r) => {
    const onHandUl = held.get(r.id) ?? null
    const since = r.lastUsedAt ? now.getTime() - Date.parse(r.lastUsedAt) : Infinity
    return {
      ...r,
      onHandUl,
      pacedUl: paced.get(r.id) ?? 0,
      idle: (onHandUl ?? 0) > 0 && since > IDLE_DAYS * 86_400_000,
    }
  })
}

export interface PricedMedium {
  readonly id: string
  readonly name: string
  readonly perMl: number
}

/** Mediums whose price is known, cheapest first: the ones a house ratio can be costed with. */
export async function pricedMediums(tx: Tx): Promise<PricedMedium[]> {
  return tx.q<PricedMedium>(
    `select id, name, (price_minor::numeric * 1000 / container_ul) as "perMl" from material
     where studio_id = $1 and kind = 'medium' and archived_at is null and price_minor is not null and container_ul is not null
     order by 3, name_key`,
    [tx.studioId],
  )
}
