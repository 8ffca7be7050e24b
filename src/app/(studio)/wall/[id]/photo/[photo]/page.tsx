import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { measuresOf } from '@/db/pieces/photos'
import { findPiece } from '@/db/pieces/read'
import { inStudio } from '@/session/current'
import { KeptPhoto } from '@/stations/wall/measure/KeptPhoto'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'A photo' }

export default async function PhotoPage({ params }: { params: Promise<{ id: string; photo: string }> }) {
  const { id, photo: photoId } = await params
  if (!isId(id) || !isId(photoId)) notFound()
  const { piece, measures } = await inStudio(async (tx) => ({
    piece: await findPiece(tx, id),
    measures: await measuresOf(tx, id),
  })).catch(orNotFound)
  const photo = piece.photos.find((f) => f.id === photoId)
  if (!photo) notFound()
  return <KeptPhoto piece={piece} photo={photo} kept={measures.find((m) => m.photoId === photoId)} />
}
