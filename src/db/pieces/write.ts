import { Conflict } from '@/core/errors'
import type { Tx } from '@/db/base/withStudio'
import type { PieceInput } from './schema'

/** Notes how a piece dried. @throws Conflict when somebody else noted something since it was opened */
export async function notePiece(tx: Tx, piece: PieceInput): Promise<void> {
  const done = await tx.q(
    `update piece set title = $4, drying_notes = $5, rating = $6, faults = $7, fate = $8, revision = revision + 1, updated_at = now()
     where studio_id = $1 and id = $2 and revision = $3 returning 1`,
    [tx.studioId, piece.id, piece.revision, piece.title, piece.dryingNotes, piece.rating, piece.faults, piece.fate],
  )
  if (done.length === 0)
    throw new Conflict(
      'Somebody else noted something here since you opened it. Open it in another tab, and add your notes there.',
    )
}
