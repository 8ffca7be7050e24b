import { v7 as uuidv7 } from 'uuid'
import { SINK_KINDS, type SinkKind } from '@/core/vessel/kinds'
import type { Tx } from '../base/withStudio'

const LABELS: Readonly<Record<SinkKind, string>> = { waste: 'Waste', air: 'Evaporated', out: 'Used without a plan' }

/** Makes the sinks of a new studio. */
export async function makeSinks(tx: Tx): Promise<void> {
  await tx.q(
    `insert into vessel (studio_id, id, kind, label)
     select $1, s.id, s.kind, s.label from unnest($2::uuid[], $3::text[], $4::text[]) as s (id, kind, label)`,
    [tx.studioId, SINK_KINDS.map(() => uuidv7()), SINK_KINDS, SINK_KINDS.map((k) => LABELS[k])],
  )
}

/** Sinks by studio and kind: made once with the studio and never changed, so they need not be asked for each time. */
const sinks = new Map<string, string>()
const MOST_SINKS = 3_000

/** A sink of the studio: booked waste, the air water evaporates into, or what was used without a plan. */
export async function sink(tx: Tx, kind: SinkKind): Promise<string> {
  const key = `${tx.studioId}/${kind}`
  const known = sinks.get(key)
  if (known) return known
  const [row] = await tx.q<{ id: string }>('select id from vessel where studio_id = $1 and kind = $2', [
    tx.studioId,
    kind,
  ])
  if (!row) throw new Error(`this studio has no ${kind} vessel`)
  if (sinks.size >= MOST_SINKS) sinks.clear()
  sinks.set(key, row.id)
  return row.id
}
