import { v7 as uuidv7 } from 'uuid'
import type { CurveKey } from '@/core/consistency/curves'
import type { ReadingWay } from '@/core/consistency/levelTime'
import { Conflict, Invalid, NotFound } from '@/core/errors'
import { madeBefore } from '../base/onceOnly'
import type { Tx } from '../base/withStudio'
import { beliefsOf, curveKeys, learnedOf } from './consistency'

/** A level time as it was read: how, what each try gave, and how sure the middle is. */
export interface LevelReading {
  readonly levelTimeS: number
  /** σ of ln t */
  readonly sigma: number
  readonly tries: readonly number[]
  readonly how: ReadingWay
  /** By a flow cup, mm²/s. */
  readonly nu?: number | null | undefined
  /** Down a card, mm, see `RUN`. */
  readonly runMm?: number | null | undefined
}

/** A reading to be noted once per request. */
export interface Noted extends LevelReading {
  readonly requestId: string
  /** Added water ÷ the rest when it was taken. */
  readonly w: number
}

/** The mix of a bottle, begun where there is none yet. */
async function titrationOf(tx: Tx, vesselId: string, at: Date | undefined): Promise<string> {
  const [known] = await tx.q<{ id: string }>(
    'select id from titration where studio_id = $1 and vessel_id = $2 order by started_at desc limit 1',
    [tx.studioId, vesselId],
  )
  if (known) return known.id
  const key = (await curveKeys(tx, [vesselId])).get(vesselId)
  if (!key) throw new Invalid('This bottle is empty, so there is no mound to time.')
  return startTitration(tx, vesselId, key, at)
}

/** Begins a curve for a mix. */
async function startTitration(tx: Tx, vesselId: string, key: CurveKey, at: Date | undefined): Promise<string> {
  const id = uuidv7()
  await tx.q(
    `insert into titration (studio_id, id, vessel_id, paint_id, medium_id, body, ratio, started_at)
     values ($1, $2, $3, $4, $5, $6, $7, coalesce($8, now()))`,
    [tx.studioId, id, vesselId, key.paintId, key.mediumId, key.body, key.ratio, at ?? null],
  )
  return id
}

/**
 * Notes readings of a bottle in the order they were taken, the last of them as it is now: on its curve, and on the
 * bottle itself with what is then believed of it. By the database's clock, a second apart where no time is given.
 * @throws NotFound, Invalid for an empty bottle
 */
export async function noteReading(tx: Tx, vesselId: string, readings: readonly Noted[], at?: Date): Promise<void> {
  const last = readings.at(-1)
  if (!last) return
  const titrationId = await titrationOf(tx, vesselId, at)
  for (const [i, r] of readings.entries()) {
    await madeBefore(tx, r.requestId, 'reading', { vesselId, levelTimeS: r.levelTimeS, how: r.how, tries: r.tries })
    await tx.q(
      `insert into level_reading (studio_id, id, titration_id, request_id, at, by, w, level_time_s, sigma, tries, how, nu, run_mm)
       values ($1, $2, $3, $4, coalesce($5, now()) - make_interval(secs => $14), $6, $7, $8, $9, $10, $11, $12, $13)
       on conflict (studio_id, request_id) do nothing`,
      [
        tx.studioId,
        uuidv7(),
        titrationId,
        r.requestId,
        at ?? null,
        tx.accountId,
        r.w,
        r.levelTimeS,
        r.sigma,
        r.tries,
        r.how,
        r.nu ?? null,
        r.runMm ?? null,
        readings.length - 1 - i,
      ],
    )
  }
  const [bottle] = await tx.q<{ mixedAt: string; now: string }>(
    'select mixed_at as "mixedAt", now() as now from bottle where studio_id = $1 and vessel_id = $2',
    [tx.studioId, vesselId],
  )
  if (!bottle) throw new NotFound('bottle')
  const learned = await learnedOf(tx)
  const one = { id: vesselId, ul: 0, w: last.w, mixedAt: bottle.mixedAt }
  const known = (await beliefsOf(tx, [one], learned, at ?? new Date(bottle.now))).get(vesselId)
  await tx.q(
    `update bottle set curve_b = $5, thickens = $6, level_time_s = $3, read_at = coalesce($4, now()), read_w = $7,
       moved_at = coalesce($4, now()), evaporated_share = 0
     where studio_id = $1 and vessel_id = $2`,
    [tx.studioId, vesselId, last.levelTimeS, at ?? null, known?.belief.b ?? null, learned.ageing.perDay, last.w],
  )
  tx.touched.add('rack')
}

/** Books a reading of a bottle as it is now, once per request. @throws NotFound, Invalid for an empty one; Conflict */
export async function readBottle(
  tx: Tx,
  input: { requestId: string; vesselId: string } & LevelReading,
  at?: Date,
): Promise<void> {
  const [bottle] = await tx.q<{ w: number }>(
    'select w from bottle where studio_id = $1 and vessel_id = $2 for no key update',
    [tx.studioId, input.vesselId],
  )
  if (!bottle) throw new NotFound('bottle')
  const [before] = await tx.q<{ levelTimeS: number }>(
    'select level_time_s as "levelTimeS" from level_reading where studio_id = $1 and request_id = $2',
    [tx.studioId, input.requestId],
  )
  if (before) {
    if (Math.abs(before.levelTimeS - input.levelTimeS) > 1e-3 * input.levelTimeS)
      throw new Conflict('This was sent before with another time. Reload the page and note it anew.')
    return
  }
  await noteReading(tx, input.vesselId, [{ ...input, w: bottle.w }], at)
}

/** A mix that was timed and read another way at the same water, for reading one as the other. */
export interface BothWays {
  readonly levelTimeS: number
  readonly nu: number | null
  readonly runMm: number | null
}

/** @see BothWays */
export function readBothWays(tx: Tx): Promise<BothWays[]> {
  return tx.q(
    `select t.level_time_s as "levelTimeS", n.nu, n.run_mm as "runMm" from level_reading n
     join level_reading t on t.studio_id = n.studio_id and t.titration_id = n.titration_id and t.how = 'stopwatch' and abs(t.w - n.w) < 0.002
     where n.studio_id = $1 and (n.nu is not null or n.run_mm is not null) limit 400`,
    [tx.studioId],
  )
}
