import { Invalid, NotFound } from '@/core/errors'
import type { ByProduct } from '@/core/piece/fates'
import { isDryMoment, LOOK_MOMENTS, looksDueAfter } from '@/core/piece/looks'
import { safeToFinish, type FinishFacts, type SafeToFinish } from '@/core/piece/safeToFinish'
import { FINISH_COATS, type FinishCoat } from '@/core/plan/finish'
import { dryingHours } from '@/core/schedule/drying'
import { areas } from '@/core/surface/area'
import type { TechniqueBook } from '@/core/technique/techniques'
import { portionsOf } from '../bottles/read'
import { climateOf } from '../runs/read'
import { roomFacts } from '../room/read'
import { techniqueBook } from '../techniques/read'
import type { Tx } from '../base/withStudio'
import { looksOf } from './looks'
import { findPiece, type Piece } from './read'
import type { ByProductInput, FinishCoatInput } from './schema'

/** A coat of varnish or resin that is on a piece. */
export interface KeptCoat {
  readonly id: string
  readonly kind: FinishCoat
  readonly product: string
  readonly lots: string
  readonly coats: number
  readonly doneOn: string
  readonly cleanedSilicone: boolean
  readonly costMinor: number
  readonly words: string
}

/** What is on a piece, oldest first. */
export function coatsOf(tx: Tx, pieceId: string): Promise<KeptCoat[]> {
  return tx.q(
    `select id, kind, product, lots, coats, done_on::text as "doneOn", cleaned_silicone as "cleanedSilicone",
       cost_minor as "costMinor", words
     from finish_coat where studio_id = $1 and piece_id = $2 order by done_on, id`,
    [tx.studioId, pieceId],
  )
}

/** Wet film that stays on a piece, mm: as it was weighed, or else as its technique usually leaves. */
export function filmOf(piece: Piece, techniques: TechniqueBook): number {
  const { faceMm2, edgesMm2 } = areas(piece.surface)
  const poured = piece.colours.reduce((sum, c) => sum + c.ul, 0)
  const runOff = techniques.find(piece.technique)?.runOffShare ?? 0
  const ul = piece.stayedHow === null ? poured * (1 - runOff) : piece.leftUl
  return ul / (faceMm2 + edgesMm2)
}

/** What is known of a piece that is to be finished. @throws NotFound */
export async function finishFacts(tx: Tx, pieceId: string): Promise<FinishFacts> {
  const piece = await findPiece(tx, pieceId)
  const portions = await portionsOf(tx, [piece.vesselId])
  const held = portions.reduce((sum, p) => sum + p.ul, 0)
  const coats = await coatsOf(tx, pieceId)
  const dry = (await looksOf(tx, pieceId)).filter((l) => isDryMoment(l.moment)).map((l) => Date.parse(l.at))
  return {
    pouredAt: Date.parse(piece.pouredAt),
    wetMm: filmOf(piece, await techniqueBook(tx)),
    solids: held > 0 ? portions.reduce((sum, p) => sum + p.ul * p.solids, 0) / held : 0.35,
    climate: (piece.runId ? await climateOf(tx, piece.runId) : undefined) ?? (await roomFacts(tx)),
    seenDryAt: dry.length ? Math.min(...dry) : null,
    hasSilicone: portions.some((p) => p.kind === 'additive'),
    coats: coats.map((c) => ({
      kind: c.kind,
      at: Date.parse(`${c.doneOn}T12:00:00Z`),
      cleanedSilicone: c.cleanedSilicone,
    })),
  }
}

/** Says when a piece that was poured wants to be looked at again, by the film that stayed on it. @throws NotFound */
export async function remindOfLooks(tx: Tx, pieceId: string): Promise<void> {
  const { pouredAt, wetMm, solids, climate } = await finishFacts(tx, pieceId)
  const due = looksDueAfter(pouredAt, dryingHours(wetMm, solids, climate).through)
  await tx.q(
    `insert into look_due (studio_id, piece_id, moment, due_at)
     select $1, $2, m, at from unnest($3::text[], $4::timestamptz[]) as x (m, at)
     on conflict (studio_id, piece_id, moment) do nothing`,
    [tx.studioId, pieceId, LOOK_MOMENTS, LOOK_MOMENTS.map((m) => new Date(due[m]))],
  )
}

/** When each finish is safe for a piece, and why. @throws NotFound */
export async function finishWhen(tx: Tx, pieceId: string): Promise<Record<FinishCoat, SafeToFinish>> {
  const facts = await finishFacts(tx, pieceId)
  return Object.fromEntries(FINISH_COATS.map((k) => [k, safeToFinish(k, facts)])) as Record<FinishCoat, SafeToFinish>
}

/**
 * Notes a coat that was put on; the same coat sent twice is one.
 * @throws NotFound; Invalid where silicone was not cleaned off, or it was done before it was safe and that is not said
 */
export async function noteCoat(tx: Tx, c: FinishCoatInput, by: string | null = null): Promise<null> {
  const sent = await tx.q('select 1 from finish_coat where studio_id = $1 and id = $2', [tx.studioId, c.id])
  if (sent.length) return null
  const when = safeToFinish(c.kind, await finishFacts(tx, c.pieceId))
  if (when.needsCleaning && !c.cleanedSilicone)
    throw new Invalid(
      'There is silicone or another additive in it, and the finish would draw back from it. Clean the dry surface, say so here, and note the coat then.',
      'cleanedSilicone',
    )
  // A day counts from its end: what was done on the first safe day was done when it was safe.
  if (Date.parse(`${c.doneOn}T23:59:59Z`) < when.from && !c.allTheSame)
    throw new Invalid(
      `That is before it is safe: ${when.reasons[0]} Wait, or say that it was done all the same.`,
      'allTheSame',
    )
  await tx.q(
    `insert into finish_coat (studio_id, id, piece_id, kind, product, lots, coats, done_on, cleaned_silicone, cost_minor, words, by)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) on conflict (studio_id, id) do nothing`,
    [
      tx.studioId,
      c.id,
      c.pieceId,
      c.kind,
      c.product,
      c.lots,
      c.coats,
      c.doneOn,
      c.cleanedSilicone,
      c.costMinor,
      c.words,
      by,
    ],
  )
  return null
}

/** Takes a coat out of the notes; one that is gone already stays gone. */
export async function removeCoat(tx: Tx, id: string): Promise<void> {
  await tx.q('delete from finish_coat where studio_id = $1 and id = $2', [tx.studioId, id])
}

/** What came of a pour beside its piece. */
export interface KeptByProduct {
  readonly id: string
  readonly kind: ByProduct
  readonly words: string
  readonly madeOn: string
}

export function byProductsOf(tx: Tx, pieceId: string): Promise<KeptByProduct[]> {
  return tx.q(
    `select id, kind, words, made_on::text as "madeOn" from by_product where studio_id = $1 and piece_id = $2 order by made_on, id`,
    [tx.studioId, pieceId],
  )
}

/** Notes what came of a pour beside its piece; sent twice it is one. @throws NotFound for a piece of another studio */
export async function noteByProduct(tx: Tx, b: ByProductInput): Promise<void> {
  const [piece] = await tx.q('select 1 from piece where studio_id = $1 and id = $2', [tx.studioId, b.pieceId])
  if (!piece) throw new NotFound('piece')
  await tx.q(
    `insert into by_product (studio_id, id, piece_id, kind, words, made_on) values ($1, $2, $3, $4, $5, $6)
     on conflict (studio_id, id) do nothing`,
    [tx.studioId, b.id, b.pieceId, b.kind, b.words, b.madeOn],
  )
}

export async function removeByProduct(tx: Tx, id: string): Promise<void> {
  await tx.q('delete from by_product where studio_id = $1 and id = $2', [tx.studioId, id])
}
