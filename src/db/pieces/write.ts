import { Conflict, NotFound } from '@/core/errors'
import type { Tx } from '../base/withStudio'
import type { LookInput, PieceInput } from './schema'

const ELSEWHERE =
  'Somebody else noted something here since you opened it. Open it in another tab, and add your notes there.'

/** Notes what a piece is called and what became of it. @throws Conflict when somebody else did since it was opened */
export async function notePiece(tx: Tx, piece: PieceInput): Promise<void> {
  const done = await tx.q(
    `update piece set title = $4, fate = $5, next_time = $6, up = $7, fate_on = $8, price_minor = $9, fate_to = $10,
       fate_reason = $11, revision = revision + 1, updated_at = now()
     where studio_id = $1 and id = $2 and revision = $3 and fate <> 'undone' returning 1`,
    [
      tx.studioId,
      piece.id,
      piece.revision,
      piece.title,
      piece.fate,
      piece.nextTime,
      piece.up,
      piece.fateOn,
      piece.priceMinor,
      piece.fateTo,
      piece.fateReason,
    ],
  )
  if (done.length === 0) throw new Conflict(ELSEWHERE)
}

/**
 * Notes a look: once for each moment, noted again where more was seen; it is then no longer due.
 * @throws NotFound for a piece of another studio; Conflict when somebody else noted it since it was opened
 */
export async function noteLook(tx: Tx, l: LookInput, by: string | null = null, at?: Date): Promise<null> {
  const [piece] = await tx.q('select 1 from piece where studio_id = $1 and id = $2', [tx.studioId, l.pieceId])
  if (!piece) throw new NotFound('piece')
  const done = await tx.q(
    `insert into look (studio_id, piece_id, moment, words, rating, weak, best, faults, by, at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, coalesce($11, now()))
     on conflict (studio_id, piece_id, moment) do update set words = excluded.words, rating = excluded.rating,
       weak = excluded.weak, best = excluded.best, faults = excluded.faults, by = excluded.by, revision = look.revision + 1
     where look.revision = $10 returning 1`,
    [
      tx.studioId,
      l.pieceId,
      l.moment,
      l.words,
      l.rating,
      l.weak,
      l.best,
      JSON.stringify(l.faults),
      by,
      l.revision,
      at ?? null,
    ],
  )
  if (done.length === 0) throw new Conflict(ELSEWHERE)
  await tx.q(
    `update look_due set done_at = coalesce(done_at, now()) where studio_id = $1 and piece_id = $2 and moment = $3`,
    [tx.studioId, l.pieceId, l.moment],
  )
  return null
}

/** Photos that were taken during a run, hung beside its pieces as wet ones; `pieceOf` says which belongs where. */
export async function hangRunPhotos(tx: Tx, pieceOf: ReadonlyMap<string, string>): Promise<void> {
  await tx.q(
    `insert into piece_photo (studio_id, id, piece_id, moment, width, height, image, taken_at)
     select f.studio_id, gen_random_uuid(), x.piece_id, 'wet', f.width, f.height, f.image, f.taken_at
     from unnest($2::uuid[], $3::uuid[]) as x (photo_id, piece_id)
     join run_photo f on f.studio_id = $1 and f.id = x.photo_id`,
    [tx.studioId, [...pieceOf.keys()], [...pieceOf.values()]],
  )
}
