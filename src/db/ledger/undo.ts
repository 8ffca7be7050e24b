import { Conflict, NotFound } from '@/core/errors'
import type { Watered } from '@/core/consistency/reference'
import { WATER_G_PER_ML } from '@/core/vessel/weighIn'
import { formatMl } from '@/core/quantity/format'
import { v7 as uuidv7 } from 'uuid'
import type { Tx } from '@/db/base/withStudio'
import { book, type Booked, type Line } from './book'
import { refreshLook } from './colour'
import { lotFacts } from './lots'
import { recall } from './transfer'
import { mixedIn, moveWater, watered } from './water'

/**
 * Undoes a movement by its mirror image. What was moved must still be where it went.
 * @throws Conflict when something has been used since (says which vessel has what), or it was undone already
 */
export async function undoMovement(tx: Tx, input: { requestId: string; movementId: string }): Promise<Booked> {
  const [movement] = await tx.q<{ kind: string }>('select kind from movement where studio_id = $1 and id = $2', [
    tx.studioId,
    input.movementId,
  ])
  if (!movement) throw new NotFound('movement')
  if (movement.kind === 'undo') throw new Conflict('An undo cannot be undone. Book what really happened instead.')
  const lines = await tx.q<{ lot_id: string; from_id: string | null; to_id: string | null; ul: number }>(
    `select lot_id, from_vessel_id as from_id, to_vessel_id as to_id, ul from movement_line
     where studio_id = $1 and movement_id = $2 order by line_no`,
    [tx.studioId, input.movementId],
  )
  const back: Line[] = lines.map((l) => ({ lotId: l.lot_id, from: l.to_id, to: l.from_id, ul: l.ul }))
  const touched = [...new Set(back.flatMap((l) => [l.from, l.to]).filter((id): id is string => id !== null))]
  const topped = movement.kind === 'top-up' ? back.find((l) => l.from)?.from : undefined
  let before: Watered | undefined
  const booked = await book(tx, {
    kind: 'undo',
    requestId: input.requestId,
    payload: { reverses: input.movementId },
    reversesId: input.movementId,
    vessels: touched,
    async decide(held) {
      for (const id of new Set(back.map((l) => l.from))) {
        if (id === null) continue
        const vessel = held(id)
        // What went into a sink is still there: only this undo can take it out, and it books once.
        if (vessel.sink) continue
        for (const { lotId } of back.filter((l) => l.from === id)) {
          const needs = back.reduce((sum, l) => sum + (l.from === id && l.lotId === lotId ? l.ul : 0), 0)
          const has = vessel.content.find((p) => p.lotId === lotId)?.ul ?? 0
          if (has < needs)
            throw new Conflict(
              `${vessel.label} has been used since: ${formatMl(has)} of one ingredient is left and ${formatMl(needs)} would go back. Undo the later steps first.`,
              { vesselId: id, haveUl: has, needUl: needs },
            )
        }
      }
      if (topped) before = await watered(tx, topped)
      return back
    },
  })
  if (!booked.replayed) {
    await follow(tx, { ...input, kind: movement.kind }, touched)
    await undoWater(tx, movement.kind, back)
    if (topped && before) await mixedIn(tx, topped, before)
  }
  return booked
}

/** What stands beside the ledger follows it: looks, and the piece and plan of a pour undone. */
async function follow(
  tx: Tx,
  { movementId, requestId, kind }: { movementId: string; requestId: string; kind: string },
  touched: readonly string[],
): Promise<void> {
  if (kind === 'merge') await recall(tx, movementId)
  await refreshLook(tx, touched)
  await tx.q(
    `with undone as (
       update piece set fate = 'undone' where studio_id = $1 and movement_id = $2 returning plan_id
     )
     update plan set poured_at = null where studio_id = $1 and id in (select plan_id from undone)`,
    [tx.studioId, movementId],
  )
  if (kind === 'pour')
    await tx.q(
      `insert into surface_move (studio_id, id, request_id, surface_id, count, by, note)
       select $1, $3, $4, s.surface_id, -s.count, $5, 'pour undone'
       from surface_move s join movement m on m.studio_id = s.studio_id and m.request_id = s.request_id
       where s.studio_id = $1 and m.id = $2 on conflict (studio_id, request_id) do nothing`,
      [tx.studioId, movementId, uuidv7(), requestId, tx.accountId],
    )
  if (kind === 'finish')
    await tx.q(
      `update lot set finished_at = null where studio_id = $1 and id in
         (select lot_id from movement_line where studio_id = $1 and movement_id = $2
          union select c.lot_id from vessel_content c where c.studio_id = $1 and c.vessel_id = any ($3))`,
      [tx.studioId, movementId, touched],
    )
  if (kind === 'mix' || kind === 'top-up')
    await tx.q(
      `update material_use u set bottles = greatest(0, u.bottles - 1)
       from bottle b, (select distinct l.material_id, line.to_vessel_id
                       from movement_line line join lot l on l.studio_id = line.studio_id and l.id = line.lot_id
                       where line.studio_id = $1 and line.movement_id = $2) as went
       where u.studio_id = $1 and b.studio_id = $1 and b.vessel_id = went.to_vessel_id
         and u.material_id = went.material_id and u.role = b.role`,
      [tx.studioId, movementId],
    )
}

/** Water that goes back out of a bottle, or back into it from the air, is counted on its curve too. */
async function undoWater(tx: Tx, kind: string, back: readonly Line[]): Promise<void> {
  if (kind !== 'water' && kind !== 'weigh-in') return
  const [air] = await tx.q<{ id: string }>(`select id from vessel where studio_id = $1 and kind = 'air'`, [tx.studioId])
  const lotIds = back.map((l) => l.lotId)
  const facts = await lotFacts(tx, lotIds)
  // What dried out of paint and medium was booked as so much of them as it weighed.
  const waterIn = ({ lotId, ul }: Line) => {
    const { isWater, densityGPerMl } = facts.get(lotId)!
    return isWater ? ul : Math.round((ul * densityGPerMl) / WATER_G_PER_ML)
  }
  const moved = new Map<string, { ul: number; waterUl: number }>()
  const note = (id: string, ul: number, waterUl: number) => {
    const before = moved.get(id)
    moved.set(id, { ul: (before?.ul ?? 0) + ul, waterUl: (before?.waterUl ?? 0) + waterUl })
  }
  for (const l of back) {
    if (kind === 'water' && l.from) note(l.from, -l.ul, -l.ul)
    if (kind === 'weigh-in' && l.from === air?.id && l.to) note(l.to, l.ul, waterIn(l))
  }
  for (const [id, { ul, waterUl }] of moved) {
    const afterUl = (await watered(tx, id)).ul
    await moveWater(tx, id, { beforeUl: afterUl - ul, afterUl, waterUl })
  }
}
