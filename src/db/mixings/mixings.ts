import type { MixingKind } from '@/core/mix/mixingKinds'
import { Conflict, NotFound } from '@/core/errors'
import { isId, type Tx } from '../base/withStudio'

/** A mix in the making: its plan, and what has happened since, oldest first. */
export interface Mixing<Plan, Event> {
  readonly id: string
  readonly kind: MixingKind
  readonly plan: Plan
  readonly events: readonly Event[]
  /** How many events there are; also the number of the last one. */
  readonly revision: number
  readonly createdAt: string
  readonly vesselId: string | null
  readonly ended: boolean
}

const MIXING = `m.id, m.kind, m.plan, m.created_at as "createdAt", m.vessel_id as "vesselId", m.ended_at is not null as ended,
  coalesce(e.list, '[]') as events, coalesce(e.n, 0) as revision`
const EVENTS = `left join lateral (
    select json_agg(event order by n) as list, max(n) as n from mixing_event x where x.studio_id = m.studio_id and x.mixing_id = m.id
  ) e on true`

/** Begins a mix; a repeated beginning is one. */
export async function beginMixing(tx: Tx, m: { id: string; kind: MixingKind; plan: unknown }): Promise<void> {
  await tx.q(
    'insert into mixing (studio_id, id, kind, plan, by) values ($1, $2, $3, $4, $5) on conflict (studio_id, id) do nothing',
    [tx.studioId, m.id, m.kind, JSON.stringify(m.plan), tx.accountId],
  )
}

/** One mix in the making. @throws NotFound */
export async function findMixing<Plan, Event>(tx: Tx, id: string): Promise<Mixing<Plan, Event>> {
  if (!isId(id)) throw new NotFound('mix')
  const [row] = await tx.q<Mixing<Plan, Event>>(
    `select ${MIXING} from mixing m ${EVENTS} where m.studio_id = $1 and m.id = $2`,
    [tx.studioId, id],
  )
  if (!row) throw new NotFound('mix')
  return row
}

/** Mixes that were begun and not ended, newest first. */
export function openMixings<Plan, Event>(tx: Tx): Promise<Mixing<Plan, Event>[]> {
  return tx.q(
    `select ${MIXING} from mixing m ${EVENTS} where m.studio_id = $1 and m.ended_at is null order by m.created_at desc limit 20`,
    [tx.studioId],
  )
}

/**
 * Adds one event, once per request, and only after the event the sender has seen.
 * @param check throws where the event does not fit what stands; then nothing is kept
 * @returns the mix with it
 * @throws NotFound; Conflict when it has ended, or another device was faster
 */
export async function addEvent<Plan, Event>(
  tx: Tx,
  input: { mixingId: string; requestId: string; after: number; event: Event },
  check: (m: Mixing<Plan, Event>, events: readonly Event[]) => void,
): Promise<Mixing<Plan, Event>> {
  if (!isId(input.mixingId)) throw new NotFound('mix')
  // The row is the lock: two devices that tap at once come one after the other.
  const [row] = await tx.q<{ ended: boolean }>(
    'select ended_at is not null as ended from mixing where studio_id = $1 and id = $2 for no key update',
    [tx.studioId, input.mixingId],
  )
  if (!row) throw new NotFound('mix')
  const mixing = await findMixing<Plan, Event>(tx, input.mixingId)
  const [before] = await tx.q('select 1 from mixing_event where studio_id = $1 and request_id = $2', [
    tx.studioId,
    input.requestId,
  ])
  if (before) return mixing
  if (row.ended) throw new Conflict('This mix is finished. Look for its bottle on the rack.')
  if (mixing.revision !== input.after)
    throw new Conflict('Another device has gone on meanwhile. Look at the step that is shown now, and tap again.')
  check(mixing, [...mixing.events, input.event])
  await tx.q(
    'insert into mixing_event (studio_id, mixing_id, n, request_id, event, by) values ($1, $2, $3, $4, $5, $6)',
    [tx.studioId, input.mixingId, mixing.revision + 1, input.requestId, JSON.stringify(input.event), tx.accountId],
  )
  tx.touched.add(`mixing ${input.mixingId}`)
  return { ...mixing, events: [...mixing.events, input.event], revision: mixing.revision + 1 }
}

/** Ends a mix: it became a bottle, or was put aside. */
export async function endMixing(tx: Tx, id: string, vesselId: string | null): Promise<void> {
  await tx.q(
    'update mixing set ended_at = coalesce(ended_at, now()), vessel_id = coalesce(vessel_id, $3) where studio_id = $1 and id = $2',
    [tx.studioId, id, vesselId],
  )
  tx.touched.add(`mixing ${id}`)
}
