import { Conflict, FikaError, NotFound } from '@/core/errors'
import type { PhotoState } from '@/core/piece/fates'
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
