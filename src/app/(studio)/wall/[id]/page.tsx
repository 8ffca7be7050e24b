import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { listJars, portionsOf } from '@/db/bottles'
import { studioFacts } from '@/db/studio'
import { isId } from '@/db/withStudio'
import { inStudio } from '@/session/current'
import { PieceSheet } from '@/stations/wall/PieceSheet'
import { findPiece } from '@/stations/wall/queries'
import { orNotFound } from '@/ui/orNotFound'

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
    }
  }).catch(orNotFound)
  return <PieceSheet {...props} />
}
