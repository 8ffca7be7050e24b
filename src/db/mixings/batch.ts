import { Conflict, NotFound } from '@/core/errors'
import { apportionParts } from '@/core/mix/apportion'
import { batchAmounts, type ContainerAmounts } from '@/core/mix/batch'
import { derivedId } from '@/db/base/derivedId'
import type { Tx } from '@/db/base/withStudio'
import { lockBatch } from '@/db/formulas/batches'
import { findFormula } from '@/db/formulas/formulas'
import { type Source } from '@/db/ledger'
import { mixBottle } from '@/db/mixes'
import type { BookBatch } from './bookBatchSchema'
import { snapshot } from './sources'

/** A container of a batch as it stands on the rack. */
export interface BatchBottle {
  readonly id: string
  readonly label: string
  readonly ul: number
}

/** The containers of a batch that were booked and not undone. */
export function batchBottles(tx: Tx, batchId: string): Promise<BatchBottle[]> {
  return tx.q<BatchBottle>(
    `select v.id, v.label, coalesce((select sum(c.ul) from vessel_content c
       where c.studio_id = v.studio_id and c.vessel_id = v.id), 0)::bigint as ul
     from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.batch_id = $2 and not exists (
       select from movement m
       join movement_line l on l.studio_id = m.studio_id and l.movement_id = m.id and l.to_vessel_id = b.vessel_id
       join movement u on u.studio_id = m.studio_id and u.reverses_id = m.id
       where m.studio_id = b.studio_id and m.kind = 'mix')
     order by v.created_at, v.id`,
    [tx.studioId, batchId],
  )
}

/**
 * Books every container of a large batch as a bottle: its paints, its medium, its water and its share of the sample,
 * all of them or none.
 * @returns the bottles
 * @throws Conflict where it is on the rack already; NotEnough, NotFound, Invalid
 */
export async function bookBatch(tx: Tx, input: BookBatch): Promise<string[]> {
  const batch = await lockBatch(tx, input.batchId)
  const amounts = batchAmounts(batch.state)
  const ids = amounts.map((_, i) => derivedId(input.requestId, `container ${i}`))
  const there = await batchBottles(tx, batch.id)
  if (there.length && there.every((b) => ids.includes(b.id))) return ids
  if (there.length)
    throw new Conflict('These containers are on the rack already. Undo them there, if they are to be booked anew.')
  const { versions } = await findFormula(tx, batch.formulaId)
  const parts = versions.find((v) => v.version === batch.formulaVersion)!.parts
  const recipe = await snapshot(tx, {
    paints: parts.map((p) => ({ materialId: p.paintId, parts: Number(p.parts) })),
    paintParts: 1,
    mediums:
      batch.state.medium > 0 ? [{ materialId: needed(input.mediumId, 'medium'), parts: batch.state.medium }] : [],
    water: batch.state.water > 0 ? { materialId: needed(input.waterId, 'water'), parts: batch.state.water } : null,
  })
  for (const [i, c] of amounts.entries())
    await mixBottle(tx, {
      requestId: derivedId(input.requestId, `booked ${i}`),
      vesselId: ids[i]!,
      label: amounts.length > 1 ? `${batch.title} ${i + 1}` : batch.title,
      role: 'pour',
      recipe,
      formula: { id: batch.formulaId, version: batch.formulaVersion },
      batchId: batch.id,
      poured: sourcesOfContainer(c, parts, input),
      capacityUl: batch.state.sizeUl,
      tareMg: null,
      restHours: input.restHours,
      untrackedForRest: input.untrackedForRest,
    })
  return ids
}

/** @throws NotFound where a batch that holds it names none */
function needed(id: string | null, what: string): string {
  if (!id) throw new NotFound(what)
  return id
}

/** Where everything in a container came from. */
function sourcesOfContainer(
  c: ContainerAmounts,
  parts: readonly { paintId: string; parts: number | string }[],
  { mediumId, waterId, sampleFrom }: BookBatch,
): Source[] {
  const [paintUl, mediumUl] = sampleFrom
    ? [c.paintUl, c.mediumUl]
    : [c.paintUl + c.samplePaintUl, c.mediumUl + c.sampleMediumUl]
  const each = apportionParts(
    paintUl,
    parts.map((p) => Number(p.parts)),
  )
  return [
    ...(sampleFrom ? [{ vesselId: sampleFrom, ul: c.samplePaintUl + c.sampleMediumUl }] : []),
    ...parts.map((p, i) => ({ materialId: p.paintId, ul: each[i]! })),
    ...(mediumId ? [{ materialId: mediumId, ul: mediumUl }] : []),
    ...(waterId ? [{ materialId: waterId, ul: c.waterUl }] : []),
  ].filter((s) => s.ul > 0)
}
