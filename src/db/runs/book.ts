import { Invalid, NotEnough, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { runState, standing, type RunState } from '@/core/run/runState'
import { netGiven, partsOf, whatStayed, type PieceStayed } from '@/core/run/stayed'
import { findBottle } from '../bottles/read'
import { noteReading } from '../bottles/readings'
import { derivedId } from '../base/derivedId'
import type { Tx } from '../base/withStudio'
import { wasteRunOff } from '../ledger'
import { keepRunOff, waterBottle } from '../mixes'
import { pourPieces } from '../pieces/pour'
import { remindOfLooks } from '../pieces/finish'
import { hangRunPhotos } from '../pieces/write'
import { findRun, movementsOf, piecesOfRun, type Run } from './read'
import { markBooked, mustBeOpen } from './write'

/**
 * Books everything a run is: water and readings of its bottles, paint onto its pieces, run-off into jars and to waste,
 * photos and reminders; all or nothing, and once however often it is sent.
 * @returns the pieces that hang on the wall
 * @throws NotEnough where more came out of a bottle than its books say, unless that is to be booked as found; OverCapacity
 *   for a jar that would overflow; Invalid where nothing was poured; Conflict; NotFound
 */
export async function bookRun(
  tx: Tx,
  input: { id: string; findRest: boolean },
): Promise<{ pieces: { id: string; title: string }[] }> {
  const [row] = await tx.q('select 1 from run where studio_id = $1 and id = $2 for no key update', [
    tx.studioId,
    input.id,
  ])
  if (!row) throw new NotFound('pour')
  const run = await findRun(tx, input.id)
  if (run.bookedAt) return { pieces: await piecesOfRun(tx, run.id) }
  mustBeOpen(run)
  const state = runState(run.plan, run.events)
  const stayed = whatStayed(run.plan, state)
  const poured = run.plan.pieces.flatMap((p) => {
    const s = stayed.find((x) => x.piece === p.id)!
    return s.pouredUl > 0 ? [{ ...p, stayed: s }] : []
  })
  if (poured.length === 0)
    throw new Invalid('Nothing was poured yet. Say what went into the cups or onto the surface, then book it.')
  const key = keysOf(run.id, run.bookings + 1)
  const at = new Date(Math.max(...state.given.map((g) => g.at)))
  await thinAndRead(tx, run, state, key)
  const vesselOf = new Map(poured.map((p) => [p.id, key(`vessel ${p.id}`)]))
  const pieceOf = new Map(poured.map((p) => [p.id, key(`piece ${p.id}`)]))
  await pourPieces(tx, {
    requestId: key('pour'),
    planId: run.plan.planId,
    runId: run.id,
    title: run.plan.title,
    technique: run.plan.technique,
    findRest: input.findRest,
    at,
    pieces: poured.map((p) => ({
      id: pieceOf.get(p.id)!,
      vesselId: vesselOf.get(p.id)!,
      title: p.title,
      surface: p.surface,
      stockId: p.stockId,
      eachMinor: p.eachMinor,
      stayedHow: p.stayed.how,
      driesAt: state.dries.get(p.id) ?? '',
      takes: netGiven(state, p.id).map((g) => ({ vesselId: g.bottle, ul: g.ul })),
    })),
  }).catch((error: unknown) => rethrow(tx, error))
  await bookRunOff(tx, run, state, stayed, vesselOf, key, at)
  await hangRunPhotos(
    tx,
    new Map(state.photos.flatMap((f) => (pieceOf.has(f.piece) ? [[f.photo, pieceOf.get(f.piece)!] as const] : []))),
  )
  for (const p of poured) await remindOfLooks(tx, pieceOf.get(p.id)!)
  await markBooked(tx, run.id, run.bookings + 1, at)
  return { pieces: await piecesOfRun(tx, run.id) }
}

/** Ids of all that a booking of a run writes: the same for the same run and the same time round. */
export const keysOf = (runId: string, booking: number) => (what: string) =>
  derivedId(runId, `booking ${booking} ${what}`)

/** It is on the board, whatever the books say: so that is said, and how to go on. */
async function rethrow(tx: Tx, error: unknown): Promise<never> {
  if (!(error instanceof NotEnough)) throw error
  const { vesselId, haveUl, needUl } = error.detail as { vesselId: string; haveUl: number; needUl: number }
  const { label } = await findBottle(tx, vesselId)
  throw new NotEnough(
    `${label} held ${formatMl(haveUl)} by the books, and ${formatMl(needUl)} of it were poured. It is on the board: book once more, and the ${formatMl(needUl - haveUl)} are booked as found in it.`,
    { vesselId, haveUl, needUl },
  )
}

/** Water that was added and level times that were read at the table, in the order they came. */
async function thinAndRead(tx: Tx, run: Run, state: RunState, key: (what: string) => string): Promise<void> {
  for (const { n, at, event } of standing(run.events)) {
    if (event.kind === 'thin')
      await waterBottle(tx, {
        requestId: key(`water ${n}`),
        vesselId: event.bottle,
        waterId: event.waterId,
        ul: event.ul,
        note: 'at the table',
      })
    const reading = state.readings.find((r) => r.n === n)
    if (!reading || reading.levelTimeS === null || reading.how === null) continue
    const { ul, w } = await findBottle(tx, reading.bottle)
    // Of a bottle the books think empty nothing is known that a time could be read against.
    if (ul === 0) continue
    const { levelTimeS, sigma, tries, how } = reading
    await noteReading(
      tx,
      reading.bottle,
      [{ requestId: key(`reading ${n}`), w, levelTimeS, sigma, tries: [...tries], how }],
      new Date(at),
    )
  }
}

async function bookRunOff(
  tx: Tx,
  run: Run,
  state: RunState,
  stayed: readonly PieceStayed[],
  vesselOf: ReadonlyMap<string, string>,
  key: (what: string) => string,
  at: Date,
): Promise<void> {
  const poured = stayed.map((s) => s.pouredUl)
  const onVessels = (parts: readonly number[]) =>
    run.plan.pieces.flatMap((p, i) => (parts[i]! > 0 ? [{ vesselId: vesselOf.get(p.id)!, ul: parts[i]! }] : []))
  for (const r of state.runOffs) {
    if (r.to !== 'jar') continue
    // A jar that was new is there by now: named twice, or booked before and taken back.
    const isNew = r.newJar !== null && !(await isVessel(tx, r.jar!))
    await keepRunOff(tx, {
      requestId: key(`jar ${r.n}`),
      from: onVessels(partsOf(run.plan, r, poured)),
      jarId: r.jar!,
      newJar: isNew
        ? { label: r.newJar || `Run-off, ${run.plan.title}`.slice(0, 120), capacityUl: null, tareMg: null }
        : null,
      at,
    })
  }
  if (stayed.some((s) => s.wasteUl > 0))
    await wasteRunOff(tx, { requestId: key('waste'), from: onVessels(stayed.map((s) => s.wasteUl)), at })
}

/** Movements of the booking of a run that stand, the newest first: what is to be undone to open it again. */
export async function movementsOfRun(tx: Tx, id: string): Promise<string[]> {
  const run = await findRun(tx, id)
  const key = keysOf(run.id, run.bookings)
  return movementsOf(tx, [
    key('pour'),
    key('waste'),
    ...run.events.flatMap(({ n }) => [key(`jar ${n}`), key(`water ${n}`)]),
  ])
}

async function isVessel(tx: Tx, id: string): Promise<boolean> {
  return (await tx.q('select 1 from vessel where studio_id = $1 and id = $2', [tx.studioId, id])).length > 0
}
