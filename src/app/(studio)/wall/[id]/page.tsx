import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { listJars, portionsOf, wastedFrom } from '@/db/bottles/read'
import { studioFacts } from '@/db/people/studio'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { rehearsalsOf } from '@/db/rehearsals/read'
import { PieceSheet } from '@/stations/wall/PieceSheet'
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
      portions: await portionsOf(tx, [piece.vesselId]),
      studio: await studioFacts(tx),
      jars: await listJars(tx),
      set: piece.setId ? await piecesOfSet(tx, piece.setId) : [],
      wasted: await wastedFrom(tx, [piece.vesselId]),
      rehearsed: piece.planId ? (await rehearsalsOf(tx, piece.planId))[0] : undefined,
    }
  }).catch(orNotFound)
  return <PieceSheet {...props} />
}
