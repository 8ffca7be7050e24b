import { Conflict, Invalid, NotEnough, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { contentUl } from '@/core/vessel/content'
import type { Tx } from '../base/withStudio'
import { book, type Booked } from './book'
import { sink } from './sinks'
import type { Follow } from './undo'

export interface WeighContainer {
  readonly requestId: string
  readonly vesselId: string
  readonly grossMg: number
  readonly tareMg: number
  /** Where a loss went: used without being booked, or lost. */
  readonly lost: 'used' | 'spilled'
}

/**
 * Books a bought container by weight: remaining = (gross − tare) ÷ density. A loss goes where the maker says, too much
 * is a measuring gain.
 * @throws Invalid when the scale shows less than the empty container, or nothing is in it by the books; NotFound
 */
export async function weighContainer(tx: Tx, w: WeighContainer): Promise<Booked> {
  if (w.grossMg < w.tareMg)
    throw new Invalid('The scale shows less than the empty container weighs. Check the tare, or weigh again.', 'gross')
  const into = await sink(tx, w.lost === 'used' ? 'out' : 'waste')
  const facts = await factsOf(tx, w.vesselId)
  return book(tx, {
    kind: 'weigh-in',
    requestId: w.requestId,
    payload: { vesselId: w.vesselId, grossMg: w.grossMg, tareMg: w.tareMg, lost: w.lost },
    vessels: [w.vesselId],
    sinks: [into],
    loss: w.lost === 'spilled' ? 'spilled' : undefined,
    note: `${w.grossMg / 1000} g gross, ${w.tareMg / 1000} g tare`,
    decide(held) {
      const { content } = held(w.vesselId)
      const diff = Math.round((w.grossMg - w.tareMg) / facts.density) - contentUl(content)
      if (diff > 0) return [{ lotId: facts.lotId, from: null, to: w.vesselId, ul: diff }]
      return diff < 0 ? [{ lotId: facts.lotId, from: w.vesselId, to: into, ul: -diff }] : []
    },
  })
}

export interface FinishContainer {
  readonly requestId: string
  readonly vesselId: string
  /** What still sticks in it: it stays there, and counts as on hand no more. */
  readonly residueUl: number
  readonly at?: Date | undefined
}

/**
 * Closes a container: what it holds by the books beyond the residue was used without being booked.
 * @throws NotEnough when the residue is more than it holds; Conflict when it is finished already
 */
export async function finishContainer(tx: Tx, f: FinishContainer): Promise<Booked> {
  const out = await sink(tx, 'out')
  const facts = await factsOf(tx, f.vesselId)
  const booked = await book(tx, {
    kind: 'finish',
    requestId: f.requestId,
    payload: { vesselId: f.vesselId, residueUl: f.residueUl },
    vessels: [f.vesselId],
    sinks: [out],
    note: `${formatMl(f.residueUl)} of residue`,
    at: f.at,
    decide(held) {
      const { content, label } = held(f.vesselId)
      if (facts.finished) throw new Conflict(`${label} is finished already.`)
      const haveUl = contentUl(content)
      if (f.residueUl > haveUl)
        throw new NotEnough(
          `${label} holds ${formatMl(haveUl)} by the books, less than the residue. Weigh it in first.`,
          { vesselId: f.vesselId, haveUl, needUl: f.residueUl },
        )
      return [{ lotId: facts.lotId, from: f.vesselId, to: out, ul: haveUl - f.residueUl }]
    },
  })
  if (!booked.replayed)
    await tx.q('update lot set finished_at = coalesce($3, now()) where studio_id = $1 and id = $2', [
      tx.studioId,
      facts.lotId,
      f.at ?? null,
    ])
  return booked
}

/** A container whose end is undone is in use again. */
export const finishUndone: Follow = async (tx, { movementId, touched }) => {
  await tx.q(
    `update lot set finished_at = null where studio_id = $1 and id in
       (select lot_id from movement_line where studio_id = $1 and movement_id = $2
        union select c.lot_id from vessel_content c where c.studio_id = $1 and c.vessel_id = any ($3))`,
    [tx.studioId, movementId, touched],
  )
}

/** Notes when a container was first opened. @throws NotFound */
export async function unseal(tx: Tx, lotId: string): Promise<void> {
  const done = await tx.q(
    `update lot set unsealed_at = coalesce(unsealed_at, now()) where studio_id = $1 and id = $2 and tracked returning id`,
    [tx.studioId, lotId],
  )
  if (done.length === 0) throw new NotFound('container')
}

/** Takes a finished container into use again: what it still holds counts as on hand. @throws NotFound */
export async function reopen(tx: Tx, lotId: string): Promise<void> {
  const done = await tx.q(
    `update lot set finished_at = null where studio_id = $1 and id = $2 and finished_at is not null returning id`,
    [tx.studioId, lotId],
  )
  if (done.length === 0) throw new NotFound('finished container')
}

/** The lot a container was bought with. @throws Invalid when the vessel is not a container of this studio */
async function factsOf(tx: Tx, vesselId: string): Promise<{ lotId: string; density: number; finished: boolean }> {
  const [row] = await tx.q<{ lot_id: string; density: number; finished: boolean }>(
    `select l.id as lot_id, m.density_g_per_ml as density, l.finished_at is not null as finished
     from lot l join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where l.studio_id = $1 and l.container_id = $2`,
    [tx.studioId, vesselId],
  )
  if (!row) throw new Invalid('That is not a container of this studio. Reload and choose again.')
  return { lotId: row.lot_id, density: row.density, finished: row.finished }
}
