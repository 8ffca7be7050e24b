import { Invalid } from '@/core/errors'
import { wAfter, wAfterMixing, waterContent, type Watered } from '@/core/consistency/reference'
import { groupBy } from '@/core/groupBy'
import { contentUl } from '@/core/vessel/content'
import { WATER_G_PER_ML } from '@/core/vessel/weighIn'
import type { Tx } from '../base/withStudio'
import { book, type Booked, type Line } from './book'
import { refreshKeep } from './keep'
import { lotFacts, openContainers, supplyLines } from './lots'
import { sink } from './sinks'
import type { Follow } from './undo'

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
  const booked = await book(tx, {
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
  })
  if (!booked.replayed) {
    await moveWater(tx, w.vesselId, { beforeUl, afterUl: beforeUl + w.ul, waterUl: w.ul }, w.at)
    await refreshKeep(tx, [w.vesselId])
  }
  return booked
}

/**
 * Keeps count of the water in a bottle: on its curve, and what is lost until it is watered again.
 * @param moved what it held before and after, and the water that went in; below zero: evaporated
 */
export async function moveWater(
  tx: Tx,
  vesselId: string,
  moved: { beforeUl: number; afterUl: number; waterUl: number },
  at?: Date,
): Promise<void> {
  const { beforeUl, afterUl, waterUl } = moved
  const [row] = await tx.q<{ w: number }>('select w from bottle where studio_id = $1 and vessel_id = $2', [
    tx.studioId,
    vesselId,
  ])
  await tx.q(
    `update bottle set w = $3, evaporated_share = greatest(0, evaporated_share * $6::float8 - $4) / greatest(1, $7::float8),
       moved_at = case when $4 > 0 then coalesce($5, now()) else moved_at end where studio_id = $1 and vessel_id = $2`,
    [tx.studioId, vesselId, wAfter(row?.w ?? 0, beforeUl, waterUl), waterUl, at ?? null, beforeUl, afterUl],
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

/** Water that an undo takes out of bottles again is counted on their curves too. */
export const waterUndone: Follow = (tx, { back }) =>
  takenBack(
    tx,
    back.flatMap((l) => (l.from ? [{ vesselId: l.from, ul: -l.ul, waterUl: -l.ul }] : [])),
  )

/** What had dried, back from the air by an undo. */
export const weighInUndone: Follow = async (tx, { back }) => {
  const air = await sink(tx, 'air')
  const facts = await lotFacts(
    tx,
    back.map((l) => l.lotId),
  )
  await takenBack(
    tx,
    back.flatMap(({ lotId, from, to, ul }) => {
      if (from !== air || !to) return []
      // What dried out of paint and medium was booked as so much of them as it weighed.
      const { isWater, densityGPerMl } = facts.get(lotId)!
      return [{ vesselId: to, ul, waterUl: isWater ? ul : Math.round((ul * densityGPerMl) / WATER_G_PER_ML) }]
    }),
  )
}

/** What an undo moved, bottle by bottle, counted on its curve. */
async function takenBack(tx: Tx, moved: readonly { vesselId: string; ul: number; waterUl: number }[]): Promise<void> {
  const total = (list: typeof moved, key: 'ul' | 'waterUl') => list.reduce((sum, m) => sum + m[key], 0)
  for (const [id, list] of groupBy(moved, (m) => m.vesselId)) {
    const afterUl = (await watered(tx, id)).ul
    await moveWater(tx, id, { beforeUl: afterUl - total(list, 'ul'), afterUl, waterUl: total(list, 'waterUl') })
  }
}

/** A top-up that is undone takes its water off the bottle's curve again. */
export const topUpUndone: Follow = async (tx, { back }) => {
  const id = back.find((l) => l.from)?.from
  if (!id) return
  const out = back.filter((l) => l.from === id)
  const facts = await lotFacts(
    tx,
    out.map((l) => l.lotId),
  )
  const after = await watered(tx, id)
  const sum = (lines: readonly Line[]) => lines.reduce((s, l) => s + l.ul, 0)
  await mixedIn(tx, id, {
    ul: after.ul + sum(out),
    waterUl: after.waterUl + sum(out.filter((l) => facts.get(l.lotId)!.isWater)),
  })
}
