import { Conflict, Invalid, NotFound } from '@/core/errors'
import { wantedBand } from '@/core/consistency/wanted'
import { planAmounts } from '@/core/plan/amounts'
import { putOut, cautionsOf } from '@/core/plan/putOut'
import type { Happened, RunEvent } from '@/core/run/events'
import { cornersOf } from '@/core/run/corners'
import { tableOf } from '@/core/run/fromPlan'
import { piecesOf } from '@/core/run/pieces'
import type { RunPlan } from '@/core/run/runPlan'
import { runState } from '@/core/run/runState'
import { whatStayed } from '@/core/run/stayed'
import type { Technique } from '@/core/technique/technique'
import { bottlesById } from '../bottles/read'
import { derivedId } from '../base/derivedId'
import { isId, type Tx } from '../base/withStudio'
import type { Follow } from '../ledger'
import { weighedRunOff } from '../pieces/read'
import { lockPlan } from '../plans/write'
import type { PlanWithParts } from '../plans/read'
import { rehearsalsOf } from '../rehearsals/read'
import { cupSizes } from '../room/read'
import { listSurfaces } from '../surfaces/read'
import { techniqueBook } from '../techniques/read'
import { frozenBottle } from './frozen'
import { findRun, type Run } from './read'
import type { BeginRun } from './schema'

/** A technique's own share of run-off counts as so many weighed pieces. Start value of Fika. */
const START_PIECES = 2

/**
 * Begins a run; sent twice it is one, and a plan that is being poured already is gone on with.
 * @returns the id of the run that is open
 * @throws Conflict when the plan has been poured; Invalid for no surface, or a technique that is none; NotFound
 */
export async function beginRun(tx: Tx, input: BeginRun): Promise<{ id: string }> {
  const [again] = await tx.q<{ id: string }>('select id from run where studio_id = $1 and id = $2', [
    tx.studioId,
    input.id,
  ])
  if (again) return again
  if (input.planId === null) {
    await keepRun(tx, input.id, null, await freePlan(tx, input))
    return { id: input.id }
  }
  const plan = await lockPlan(tx, input.planId)
  const [open] = await tx.q<{ id: string }>(
    'select id from run where studio_id = $1 and plan_id = $2 and booked_at is null and put_aside_at is null',
    [tx.studioId, plan.id],
  )
  if (open) return open
  if (plan.pouredAt) throw new Conflict('This plan has been poured already. Look at the wall, or make a new plan.')
  await keepRun(tx, input.id, plan.id, await planned(tx, input.id, plan))
  return { id: input.id }
}

async function keepRun(tx: Tx, id: string, planId: string | null, plan: RunPlan): Promise<void> {
  // Read once from the start, so that a plan that cannot be followed is refused here.
  whatStayed(plan, runState(plan, []))
  await tx.q(
    'insert into run (studio_id, id, plan_id, plan, by) values ($1, $2, $3, $4, $5) on conflict (studio_id, id) do nothing',
    [tx.studioId, id, planId, JSON.stringify(plan), tx.accountId],
  )
  tx.touched.add('runs')
}

/** What every run of a technique begins with. */
async function ofTechnique(
  tx: Tx,
  t: Technique,
): Promise<
  Omit<RunPlan, 'title' | 'planId' | 'pieces' | 'cups' | 'coats' | 'bottles' | 'rehearsed' | 'putOut' | 'bandS'>
> {
  const weighed = await weighedRunOff(tx, t.key)
  const pieces = weighed.pieces + START_PIECES
  return {
    technique: t.key,
    techniqueName: t.name,
    heat: t.heat,
    waits: t.waits,
    cautions: cautionsOf(t),
    runOffShare: (weighed.share * weighed.pieces + t.runOffShare * START_PIECES) / pieces,
    runOffOf: weighed.pieces,
  }
}

async function planned(tx: Tx, runId: string, plan: PlanWithParts): Promise<RunPlan> {
  const technique = (await techniqueBook(tx)).of(plan.technique)
  const amounts = planAmounts(
    plan.design,
    (await cupSizes(tx)).map((c) => c.sizeUl),
  )
  let made = 0
  const newId = () => derivedId(runId, `part ${made++}`)
  const pieces = piecesOf(plan.design.surfaces, plan.title).map((p) => ({ ...p, id: newId() }))
  const named = plan.parts.flatMap((p) => (p.of.kind === 'bottle' ? [p.of.id] : []))
  const bottles = await bottlesById(tx, [...new Set(named)])
  const [rehearsed] = await rehearsalsOf(tx, plan.id)
  return {
    ...(await ofTechnique(tx, technique)),
    title: plan.title,
    planId: plan.id,
    bandS: wantedBand(technique, plan.design.look, 'pour'),
    putOut: putOut(plan.design, amounts, technique, (id) => bottles.find((b) => b.id === id)?.label),
    pieces: pieces.map(({ id, title, surface, stockId, eachMinor }) => ({ id, title, surface, stockId, eachMinor })),
    ...tableOf(plan.design, amounts, pieces, newId),
    bottles: bottles.map((b) => ({ id: b.id, label: b.label, hex: b.hex ?? '#bdbdbd', sheen: b.sheen })),
    rehearsed: rehearsed ? cornersOf(rehearsed.path) : [],
  }
}

/** A run without a plan: surfaces alone; every bottle is reached for as it comes. */
async function freePlan(tx: Tx, input: BeginRun): Promise<RunPlan> {
  if (input.surfaces.length === 0)
    throw new Invalid('Say what is poured on: type a size, like 40 x 50 cm, or take one from the shelf.', 'surfaces')
  const technique = (await techniqueBook(tx)).of(input.technique)
  const stock = await listSurfaces(tx)
  const title = input.title || 'A pour'
  const surfaces = input.surfaces.map((s, i) => ({
    id: derivedId(input.id, `surface ${i}`),
    surface: s.surface,
    stockId: s.stockId,
    eachMinor: stock.find((x) => x.id === s.stockId)?.eachMinor ?? 0,
  }))
  return {
    ...(await ofTechnique(tx, technique)),
    title,
    planId: null,
    bandS: technique.levelTimeS,
    putOut: [],
    pieces: piecesOf(surfaces, title).map((p, i) => ({
      id: derivedId(input.id, `part ${i}`),
      title: p.title,
      surface: p.surface,
      stockId: p.stockId,
      eachMinor: p.eachMinor,
    })),
    cups: [],
    coats: [],
    bottles: [],
    rehearsed: [],
  }
}

/** Kinds that give paint out of a bottle, whose state is frozen with them. */
const givesPaint = (
  e: RunEvent,
): e is Extract<RunEvent, { kind: 'load' | 'coat' | 'remedy' | 'edge' }> & { bottle: string } =>
  (e.kind === 'load' || e.kind === 'coat' || e.kind === 'remedy' || e.kind === 'edge') && e.bottle !== null

/**
 * Adds what happened at a run, once per request, where it fits what stands. It may come from any device at any step.
 * @returns the run with it
 * @throws NotFound; Conflict when it is booked or put aside; Invalid for what fits nothing; then nothing is kept
 */
export async function noteRunEvent(tx: Tx, runId: string, input: { requestId: string; event: RunEvent }): Promise<Run> {
  if (!isId(runId)) throw new NotFound('pour')
  // The row is the lock: two devices that tap at once come one after the other.
  const [row] = await tx.q('select 1 from run where studio_id = $1 and id = $2 for no key update', [tx.studioId, runId])
  if (!row) throw new NotFound('pour')
  const run = await findRun(tx, runId)
  const [before] = await tx.q('select 1 from run_event where studio_id = $1 and request_id = $2', [
    tx.studioId,
    input.requestId,
  ])
  if (before) return run
  mustBeOpen(run)
  const now = Date.now()
  const event = givesPaint(input.event)
    ? { ...input.event, frozen: await frozenBottle(tx, input.event.bottle, runState(run.plan, run.events), now) }
    : input.event
  const happened: Happened = { n: run.revision + 1, at: now, event }
  const events = [...run.events, happened]
  // Whatever cannot be booked later is refused now, while the hand is still there.
  whatStayed(run.plan, runState(run.plan, events))
  await tx.q(
    `insert into run_event (studio_id, run_id, n, request_id, event, at, by) values ($1, $2, $3, $4, $5, $6, $7)`,
    [tx.studioId, runId, happened.n, input.requestId, JSON.stringify(event), new Date(now), tx.accountId],
  )
  tx.touched.add(`run ${runId}`)
  return { ...run, events, revision: happened.n }
}

/** @throws Conflict for a run that has ended */
export function mustBeOpen(run: Run): void {
  if (run.bookedAt)
    throw new Conflict('This pour is booked. Its pieces hang on the wall; take the booking back to change it.')
  if (run.isAside) throw new Conflict('This pour was put aside. Begin it anew from its plan.')
}

/** Puts a run aside for good; what happened at it was never booked. @throws Conflict for one that is booked; NotFound */
export async function putRunAside(tx: Tx, id: string): Promise<void> {
  const done = await tx.q(
    'update run set put_aside_at = coalesce(put_aside_at, now()) where studio_id = $1 and id = $2 and booked_at is null returning 1',
    [tx.studioId, id],
  )
  if (done.length === 0) mustBeOpen(await findRun(tx, id))
  tx.touched.add(`run ${id}`)
}

/** A photo of the day as it is kept: encoded anew, upright. */
export async function keepRunPhoto(
  tx: Tx,
  f: { id: string; runId: string; width: number; height: number; image: Buffer },
): Promise<void> {
  const { isAside, bookedAt } = await findRun(tx, f.runId)
  if (isAside || bookedAt) throw new Conflict('This pour has ended. Add the photo to its piece on the wall.')
  const [here] = await tx.q<{ n: number }>(
    'select count(*)::int as n from run_photo where studio_id = $1 and run_id = $2',
    [tx.studioId, f.runId],
  )
  if (here!.n >= MOST_PHOTOS)
    throw new Invalid(`A pour keeps ${MOST_PHOTOS} photos. Add more to its pieces on the wall.`)
  await tx.q(
    `insert into run_photo (studio_id, id, run_id, width, height, image) values ($1, $2, $3, $4, $5, $6)
     on conflict (studio_id, id) do nothing`,
    [tx.studioId, f.id, f.runId, f.width, f.height, f.image],
  )
}
const MOST_PHOTOS = 60

/** A pour that is undone is open again: what happened stays, and can be put right. */
export const runReopened: Follow = async (tx, { movementId }) => {
  const rows = await tx.q<{ id: string }>(
    `update run r set booked_at = null from piece p
     where r.studio_id = $1 and p.studio_id = $1 and p.movement_id = $2 and p.run_id = r.id returning r.id`,
    [tx.studioId, movementId],
  )
  for (const { id } of rows) tx.touched.add(`run ${id}`)
}

/** Marks a run as booked. */
export async function markBooked(tx: Tx, id: string, bookings: number, at: Date): Promise<void> {
  await tx.q('update run set booked_at = $3, bookings = $4 where studio_id = $1 and id = $2', [
    tx.studioId,
    id,
    at,
    bookings,
  ])
  tx.touched.add(`run ${id}`)
}
