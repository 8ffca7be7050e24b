import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { listJars, portionsOf, wastedFrom } from '@/db/bottles/read'
import { studioFacts } from '@/db/people/studio'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { rehearsalsOf } from '@/db/rehearsals/read'
import { techniqueBook } from '@/db/techniques/read'
import { PieceSheet } from '@/stations/wall/PieceSheet'
import { byProductsOf, coatsOf } from '@/db/pieces/finish'
import { looksOf } from '@/db/pieces/looks'
import { measuresOf } from '@/db/pieces/photos'
import { findPiece, piecesOfSet } from '@/db/pieces/read'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Piece' }

export default async function PiecePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const props = await inStudio(async (tx) => {
    const piece = await findPiece(tx, id)
    return {
      piece,
      looks: await looksOf(tx, id),
      measured: await measuresOf(tx, id),
      coats: await coatsOf(tx, id),
      products: await byProductsOf(tx, id),
      portions: await portionsOf(tx, [piece.vesselId]),
      studio: await studioFacts(tx),
      techniques: await techniqueBook(tx),
      jars: await listJars(tx),
      set: piece.setId ? await piecesOfSet(tx, piece.setId) : [],
      wasted: await wastedFrom(tx, [piece.vesselId]),
      rehearsed: piece.planId ? (await rehearsalsOf(tx, piece.planId))[0] : undefined,
      now: new Date().getTime(),
    }
  }).catch(orNotFound)
  return <PieceSheet {...props} />
}
