import { Invalid } from '@/core/errors'
import { wAfter, wAfterMixing, waterContent, type Watered } from '@/core/consistency/reference'
import { contentUl } from '@/core/vessel/content'
import { WATER_G_PER_ML } from '@/core/vessel/weighIn'
import type { Tx } from '../base/withStudio'
import type { Booked, Line } from '../ledger/book'
import { bookMix } from './settle'
import { lotFacts, openContainers, supplyLines } from '../ledger/lots'
import { sink } from '../ledger/sinks'

export interface WaterBottle {
  readonly requestId: string
  readonly vesselId: string
  /** The kind of water, a material. */
  readonly waterId: string
  readonly ul: number
  readonly note?: string
  readonly at?: Date | undefined
}

/** Thins a bottle with water: drops at the table, or what evaporated. @throws OverCapacity, NotFound, Invalid */
export async function waterBottle(tx: Tx, w: WaterBottle): Promise<Booked> {
  if (!(w.ul > 0)) throw new Invalid('Type how much water went in, like 6 drops.', 'amount')
  const [water] = await tx.q<{ kind: string }>('select kind from material where studio_id = $1 and id = $2', [
    tx.studioId,
    w.waterId,
  ])
  if (water?.kind !== 'water') throw new Invalid('Choose which water went in.', 'waterId')
  const containers = await openContainers(tx, [w.waterId])
  let beforeUl = 0
  return bookMix(tx, {
    kind: 'water',
    requestId: w.requestId,
    payload: { vesselId: w.vesselId, waterId: w.waterId, ul: w.ul },
    vessels: [...[...containers.values()].flat(), w.vesselId],
    note: w.note ?? '',
    at: w.at,
    decide(held) {
      beforeUl = contentUl(held(w.vesselId).content)
      if (beforeUl === 0) throw new Invalid(`${held(w.vesselId).label} is empty. Mix into it first.`)
      return supplyLines(tx, [{ materialId: w.waterId, ul: w.ul }], w.vesselId, containers, held, true)
    },
    async follow() {
      await moveWater(tx, w.vesselId, { beforeUl, afterUl: beforeUl + w.ul, waterUl: w.ul })
      await tx.q('update bottle set moved_at = coalesce($3, now()) where studio_id = $1 and vessel_id = $2', [
        tx.studioId,
        w.vesselId,
        w.at ?? null,
      ])
    },
  })
}

/**
 * Keeps count of the water in a bottle: on its curve, and what is lost until it is watered again.
 * @param moved what it held before and after, and the water that went in; below zero: evaporated
 */
export async function moveWater(
  tx: Tx,
  vesselId: string,
  moved: { beforeUl: number; afterUl: number; waterUl: number },
): Promise<void> {
  const { beforeUl, afterUl, waterUl } = moved
  const [row] = await tx.q<{ w: number }>('select w from bottle where studio_id = $1 and vessel_id = $2', [
    tx.studioId,
    vesselId,
  ])
  await tx.q(
    `update bottle set w = $3, evaporated_share = greatest(0, evaporated_share * $5::float8 - $4) / greatest(1, $6::float8)
     where studio_id = $1 and vessel_id = $2`,
    [tx.studioId, vesselId, wAfter(row?.w ?? 0, beforeUl, waterUl), waterUl, beforeUl, afterUl],
  )
}

/** What a vessel holds, and how much of it is water. */
export async function watered(tx: Tx, vesselId: string): Promise<Watered> {
  const [row] = await tx.q<Watered>(
    `select coalesce(sum(c.ul), 0)::bigint as ul, coalesce(sum(c.ul) filter (where m.kind = 'water'), 0)::bigint as "waterUl"
     from vessel_content c join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where c.studio_id = $1 and c.vessel_id = $2`,
    [tx.studioId, vesselId],
  )
  return row!
}

/** The water of bottles as they were just filled, by what they hold. */
export async function countWater(tx: Tx, vesselId: string): Promise<void> {
  const w = waterContent(await watered(tx, vesselId))
  await tx.q('update bottle set w = $3 where studio_id = $1 and vessel_id = $2', [tx.studioId, vesselId, w])
}

/** Keeps count of the water in a bottle after something was mixed into it, or taken back out. */
export async function mixedIn(tx: Tx, vesselId: string, before: Watered): Promise<void> {
  const after = await watered(tx, vesselId)
  const [row] = await tx.q<{ w: number }>('select w from bottle where studio_id = $1 and vessel_id = $2', [
    tx.studioId,
    vesselId,
  ])
  if (!row) return
  await tx.q(
    'update bottle set w = $3, evaporated_share = evaporated_share * $4::float8 where studio_id = $1 and vessel_id = $2',
    [tx.studioId, vesselId, wAfterMixing(row.w, before, after), before.ul / Math.max(1, after.ul)],
  )
}

/**
 * Counts the water of a bottle after an undo, where it was changed since or nobody noted what it was: the lines of the
 * undo as any others.
 */
export async function recount(tx: Tx, vesselId: string, back: readonly Line[]): Promise<void> {
  const lines = back.filter((l) => l.from === vesselId || l.to === vesselId)
  const air = await sink(tx, 'air')
  const facts = await lotFacts(
    tx,
    lines.map((l) => l.lotId),
  )
  let [ul, waterUl, ownUl, onlyWater] = [0, 0, 0, true]
  for (const l of lines) {
    const { isWater, densityGPerMl } = facts.get(l.lotId)!
    const way = l.to === vesselId ? 1 : -1
    const dried = l.from === air || l.to === air
    ul += way * l.ul
    if (isWater) ownUl += way * l.ul
    // What dried out of paint and medium was booked as so much of them as it weighed.
    if (isWater || dried) waterUl += way * (isWater ? l.ul : Math.round((l.ul * densityGPerMl) / WATER_G_PER_ML))
    else onlyWater = false
  }
  const after = await watered(tx, vesselId)
  if (onlyWater) await moveWater(tx, vesselId, { beforeUl: after.ul - ul, afterUl: after.ul, waterUl })
  else await mixedIn(tx, vesselId, { ul: after.ul - ul, waterUl: after.waterUl - ownUl })
}
