import { MOMENTS, type Look } from '@/core/piece/looks'
import type { Tx } from '../base/withStudio'

/** Looks that were taken of a piece, in the order of their moments. */
export function looksOf(tx: Tx, pieceId: string): Promise<Look[]> {
  return tx.q<Look>(
    `select moment, at, words, rating, weak, best, faults, revision from look where studio_id = $1 and piece_id = $2
     order by array_position($3::text[], moment)`,
    [tx.studioId, pieceId, [...MOMENTS]],
  )
}
