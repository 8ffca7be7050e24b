import type { Climate } from '@/core/schedule/drying'
import { NotFound } from '@/core/errors'
import type { Fared } from '@/core/run/bothers'
import type { Happened } from '@/core/run/events'
import type { Squeezed } from '@/core/run/loading'
import type { RunPlan } from '@/core/run/runPlan'
import { isId, type Tx } from '../base/withStudio'
import { notUndone } from '../ledger'

/** A run: what was to be poured, and what has happened since, oldest first. */
export interface Run {
  readonly id: string
  readonly plan: RunPlan
  readonly events: readonly Happened[]
  /** How many events there are; also the number of the last one. */
  readonly revision: number
  readonly begunAt: string
  readonly bookedAt: string | null
  readonly isAside: boolean
  /** How often its paint was booked. */
  readonly bookings: number
}

const RUN = `r.id, r.plan, r.begun_at as "begunAt", r.booked_at as "bookedAt", r.put_aside_at is not null as "isAside", r.bookings,
  coalesce(e.list, '[]') as events, coalesce(e.n, 0) as revision`
const EVENTS = `left join lateral (
    select json_agg(json_build_object('n', x.n, 'at', floor(extract(epoch from x.at) * 1000)::bigint, 'event', x.event) order by x.n) as list,
      max(x.n) as n
    from run_event x where x.studio_id = r.studio_id and x.run_id = r.id
  ) e on true`

/** One run. @throws NotFound */
export async function findRun(tx: Tx, id: string): Promise<Run> {
  if (!isId(id)) throw new NotFound('pour')
  const [row] = await tx.q<Run>(`select ${RUN} from run r ${EVENTS} where r.studio_id = $1 and r.id = $2`, [
    tx.studioId,
    id,
  ])
  if (!row) throw new NotFound('pour')
  return row
}

/** A run that was begun and is neither booked nor put aside. */
export interface OpenRun {
  readonly id: string
  readonly title: string
  readonly planId: string | null
  readonly begunAt: string
  readonly events: number
}

/** Runs that are open, newest first. */
export const openRuns = (tx: Tx): Promise<OpenRun[]> =>
  tx.q<OpenRun>(
    `select r.id, r.plan ->> 'title' as title, r.plan_id as "planId", r.begun_at as "begunAt",
       (select count(*)::int from run_event x where x.studio_id = r.studio_id and x.run_id = r.id) as events
     from run r where r.studio_id = $1 and r.booked_at is null and r.put_aside_at is null order by r.begun_at desc limit 20`,
    [tx.studioId],
  )

/** Pieces of a run that hang on the wall. */
export const piecesOfRun = (tx: Tx, runId: string): Promise<{ id: string; title: string; vesselId: string }[]> =>
  tx.q(
    `select id, title, vessel_id as "vesselId" from piece where studio_id = $1 and run_id = $2 and fate <> 'undone'
     order by length(title), title`,
    [tx.studioId, runId],
  )

/** SQL: an event was not taken back. @param e alias of its row */
export const stands = (e: string) =>
  `not exists (select from run_event u where u.studio_id = ${e}.studio_id and u.run_id = ${e}.run_id
     and u.event ->> 'kind' = 'undo' and (u.event ->> 'of')::int = ${e}.n)`

/** How remedies have fared in this studio, over every run. */
export const remediesFared = (tx: Tx): Promise<Fared[]> =>
  tx.q<Fared>(
    `with stands as (
       select e.run_id, e.n, e.event from run_event e
       where e.studio_id = $1 and e.event ->> 'kind' in ('bother', 'remedy', 'worked')
         and ${stands('e')}
     )
     select b.event ->> 'what' as bother, r.event ->> 'which' as remedy,
       count(*) filter (where (w.event ->> 'yes')::boolean)::int as worked, count(*)::int as tried
     from stands w
     join stands r on r.run_id = w.run_id and r.n = (w.event ->> 'remedy')::int and r.event ->> 'kind' = 'remedy'
     join stands b on b.run_id = r.run_id and b.n = (r.event ->> 'bother')::int and b.event ->> 'kind' = 'bother'
     where w.event ->> 'kind' = 'worked' group by 1, 2`,
    [tx.studioId],
  )

/** What squeezes of each bottle gave where they were weighed, over every run, without what was taken back. */
export const squeezesWeighed = (tx: Tx): Promise<Squeezed[]> =>
  tx.q<Squeezed>(
    `select e.event ->> 'bottle' as bottle, sum((e.event ->> 'squeezes')::int)::int as squeezes, sum((e.event ->> 'ul')::bigint)::bigint as ul
     from run_event e
     where e.studio_id = $1 and e.event ? 'squeezes' and e.event ->> 'how' = 'scale' and ${stands('e')} group by 1`,
    [tx.studioId],
  )

/** The picture of a photo of the day; undefined where there is none. */
export async function runImage(tx: Tx, id: string): Promise<Buffer | undefined> {
  const [row] = await tx.q<{ image: Buffer }>('select image from run_photo where studio_id = $1 and id = $2', [
    tx.studioId,
    id,
  ])
  return row?.image
}

/** Movements that stand, made under some requests, the newest first. */
export async function movementsOf(tx: Tx, requestIds: readonly string[]): Promise<string[]> {
  const rows = await tx.q<{ id: string }>(
    `select m.id from movement m where m.studio_id = $1 and m.request_id = any ($2)
       and ${notUndone('m')}
     order by m.id desc`,
    [tx.studioId, requestIds],
  )
  return rows.map((r) => r.id)
}

/** The air a run was poured in, as it was said last and not taken back; undefined where nobody said. */
export async function climateOf(tx: Tx, runId: string): Promise<Climate | undefined> {
  const [row] = await tx.q<Climate>(
    `select (event ->> 'celsius')::float8 as celsius, (event ->> 'humidity')::float8 as humidity from run_event e
     where studio_id = $1 and run_id = $2 and event ->> 'kind' = 'climate' and ${stands('e')} order by n desc limit 1`,
    [tx.studioId, runId],
  )
  return row
}
