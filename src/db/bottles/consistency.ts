import { groupBy } from '@/core/groupBy'
import {
  afterStanding,
  daysBetween,
  learnAgeing,
  stoodFor,
  type Ageing,
  type StoodPoint,
} from '@/core/consistency/ageing'
import { keyOf } from '@/core/consistency/curveKey'
import { beliefOf, priorsOf, type CurveKey, type Logged } from '@/core/consistency/curves'
import type { Belief } from '@/core/consistency/dilution'
import type { Body } from '@/core/paint/properties'
import type { Tx } from '@/db/base/withStudio'

/** As many mixes as curves are learned from, newest first. */
const MOST_LOGS = 2_000

/** A mix that was read, with its readings in the order they were taken. */
export interface LoggedMix extends Logged {
  readonly vesselId: string | null
  readonly startedAt: string
  readonly points: readonly StoodPoint[]
}

/** Every mix that was read while it was thinned or while it stood, newest first. */
export async function loggedTitrations(tx: Tx): Promise<LoggedMix[]> {
  return tx.q(
    `select t.id, t.vessel_id as "vesselId", t.paint_id as "paintId", t.medium_id as "mediumId", t.body, t.ratio, t.started_at as "startedAt",
       coalesce(json_agg(json_build_object('w', r.w, 'lnT', ln(r.level_time_s), 'sigma', r.sigma,
         'days', greatest(0, extract(epoch from r.at - t.started_at) / 86400)) order by r.at, r.id)
         filter (where r.id is not null), '[]') as points
     from (select * from titration where studio_id = $1 order by started_at desc limit ${MOST_LOGS}) t
     left join level_reading r on r.studio_id = t.studio_id and r.titration_id = t.id
     group by t.id, t.vessel_id, t.paint_id, t.medium_id, t.body, t.ratio, t.started_at order by t.started_at desc`,
    [tx.studioId],
  )
}

/** What the curve of a bottle's mix is learned for: its main paint and medium, by what it holds. */
export async function curveKeys(tx: Tx, vesselIds: readonly string[]): Promise<Map<string, CurveKey>> {
  const rows = await tx.q<{ id: string; materialId: string; kind: string; body: Body | null; ul: number }>(
    `select c.vessel_id as id, m.id as "materialId", m.kind, p.body, sum(c.ul)::bigint as ul
     from vessel_content c
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join material m on m.studio_id = l.studio_id and m.id = l.material_id
     left join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     where c.studio_id = $1 and c.vessel_id = any ($2) and c.ul > 0
     group by c.vessel_id, m.id, m.kind, p.body order by ul desc, m.id`,
    [tx.studioId, vesselIds],
  )
  return new Map([...groupBy(rows, (r) => r.id)].map(([id, list]) => [id, keyOf(list)]))
}

/** A bottle with what is believed of its consistency. */
export interface KnownBottle {
  readonly id: string
  readonly ul: number
  readonly w: number
  /** As it is now. */
  readonly belief: Belief
  /** Its own readings, as they would be taken now. */
  readonly points: readonly StoodPoint[]
  readonly key: CurveKey
}

/** What all readings of a studio say together: how mixes age, and every mix as it was fresh. */
export interface Learned {
  readonly ageing: Ageing
  readonly fresh: readonly LoggedMix[]
}

/** @see Learned */
export async function learnedOf(tx: Tx): Promise<Learned> {
  const logs = await loggedTitrations(tx)
  const ageing = learnAgeing(logs)
  return { ageing, fresh: logs.map((l) => ({ ...l, points: stoodFor(l.points, ageing, 0) })) }
}

/** What is believed of bottles: their pair's curve, their own readings, and how long they have stood. */
export async function beliefsOf(
  tx: Tx,
  bottles: readonly { id: string; ul: number; w: number; mixedAt: string }[],
  known: Learned,
  now: Date,
): Promise<Map<string, KnownBottle>> {
  const { ageing, fresh } = known
  const priors = priorsOf(fresh)
  const keys = await curveKeys(
    tx,
    bottles.map((b) => b.id),
  )
  return new Map(
    bottles.flatMap((b) => {
      const key = keys.get(b.id)
      if (!key) return []
      const own = fresh.find((l) => l.vesselId === b.id)
      const days = daysBetween(Date.parse(own?.startedAt ?? b.mixedAt), now.getTime())
      const belief = afterStanding(beliefOf(key, own, fresh, priors), ageing, days)
      return [[b.id, { ...b, key, points: stoodFor(own?.points ?? [], ageing, days), belief }] as const]
    }),
  )
}

/** What is believed of a mix that is not in a bottle yet. */
export async function beliefFor(tx: Tx, key: CurveKey): Promise<Belief> {
  const { fresh } = await learnedOf(tx)
  return beliefOf(key, undefined, fresh, priorsOf(fresh))
}
