import { Conflict, FikaError, NotFound } from '@/core/errors'
import { LOOK_MOMENTS, type LookMoment, type PhotoState } from '@/core/piece/fates'
import type { Tx } from '../base/withStudio'
import { PHOTO, type PieceInput } from './schema'

/** Notes how a piece dried. @throws Conflict when somebody else noted something since it was opened */
export async function notePiece(tx: Tx, piece: PieceInput): Promise<void> {
  const done = await tx.q(
    `update piece set title = $4, drying_notes = $5, rating = $6, faults = $7, fate = $8, next_time = $9, revision = revision + 1, updated_at = now()
     where studio_id = $1 and id = $2 and revision = $3 returning 1`,
    [
      tx.studioId,
      piece.id,
      piece.revision,
      piece.title,
      piece.dryingNotes,
      piece.rating,
      piece.faults,
      piece.fate,
      piece.nextTime,
    ],
  )
  if (done.length === 0)
    throw new Conflict(
      'Somebody else noted something here since you opened it. Open it in another tab, and add your notes there.',
    )
}

/** A photo as it is kept: encoded anew, upright. */
export interface PiecePhoto {
  readonly id: string
  readonly pieceId: string
  readonly state: PhotoState
  readonly width: number
  readonly height: number
  readonly image: Buffer
}

/** Hangs a photo beside a piece; the same photo sent twice is one. @throws NotFound for a piece of another studio */
export async function addPhoto(tx: Tx, p: PiecePhoto): Promise<void> {
  const [piece] = await tx.q('select 1 from piece where studio_id = $1 and id = $2', [tx.studioId, p.pieceId])
  if (!piece) throw new NotFound('piece')
  const [here] = await tx.q<{ piece: number; studio: number }>(
    `select count(*) filter (where piece_id = $2)::int as piece, count(*)::int as studio
     from piece_photo where studio_id = $1 and id <> $3`,
    [tx.studioId, p.pieceId, p.id],
  )
  if (here!.piece >= PHOTO.ofPiece)
    throw new FikaError('TooLarge', `A piece keeps ${PHOTO.ofPiece} photos. Take one away first, then add this one.`)
  if (here!.studio >= PHOTO.ofStudio)
    throw new FikaError('TooLarge', 'This studio holds as many photos as Fika keeps. Take some away first.')
  await tx.q(
    `insert into piece_photo (studio_id, id, piece_id, state, width, height, image) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (studio_id, id) do nothing`,
    [tx.studioId, p.id, p.pieceId, p.state, p.width, p.height, p.image],
  )
}

/** Takes a photo away; one that is gone already stays gone. */
export async function removePhoto(tx: Tx, id: string): Promise<void> {
  await tx.q('delete from piece_photo where studio_id = $1 and id = $2', [tx.studioId, id])
}

/** Photos that were taken during a run, hung beside its pieces as wet ones; `pieceOf` says which belongs where. */
export async function hangRunPhotos(tx: Tx, pieceOf: ReadonlyMap<string, string>): Promise<void> {
  await tx.q(
    `insert into piece_photo (studio_id, id, piece_id, state, width, height, image, taken_at)
     select f.studio_id, gen_random_uuid(), x.piece_id, 'wet', f.width, f.height, f.image, f.taken_at
     from unnest($2::uuid[], $3::uuid[]) as x (photo_id, piece_id)
     join run_photo f on f.studio_id = $1 and f.id = x.photo_id`,
    [tx.studioId, [...pieceOf.keys()], [...pieceOf.values()]],
  )
}

/** Says when a piece wants to be looked at again. */
export async function remindOfLooks(tx: Tx, pieceId: string, due: Readonly<Record<LookMoment, Date>>): Promise<void> {
  await tx.q(
    `insert into look_due (studio_id, piece_id, moment, due_at)
     select $1, $2, m, at from unnest($3::text[], $4::timestamptz[]) as x (m, at)
     on conflict (studio_id, piece_id, moment) do nothing`,
    [tx.studioId, pieceId, LOOK_MOMENTS, LOOK_MOMENTS.map((m) => due[m])],
  )
}

/** Notes that a piece was looked at; looked at twice is once. @throws NotFound where nothing was due */
export async function noteLooked(tx: Tx, l: { pieceId: string; moment: LookMoment }): Promise<void> {
  const done = await tx.q(
    `update look_due set done_at = coalesce(done_at, now()) where studio_id = $1 and piece_id = $2 and moment = $3 returning 1`,
    [tx.studioId, l.pieceId, l.moment],
  )
  if (done.length === 0) throw new NotFound('look at this piece')
}
