import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { techniqueBook } from '@/db/techniques/read'
import { listPieces } from '@/db/pieces/read'
import { Wall } from '@/stations/wall/Wall'

export const metadata: Metadata = { title: 'Wall' }

export default async function WallPage() {
  const props = await inStudio(async (tx) => ({
    pieces: await listPieces(tx),
    techniques: await techniqueBook(tx),
    zone: (await studioFacts(tx)).zone,
  }))
  return <Wall {...props} />
}
