import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { writeUp } from '@/core/piece/writeUp'
import { isId } from '@/db/base/withStudio'
import { studioFacts } from '@/db/people/studio'
import { findOnWall } from '@/db/pieces/wall'
import { writtenPiece } from '@/db/pieces/written'
import { inStudio } from '@/session/current'
import { WriteUp } from '@/stations/wall/writeUp/WriteUp'
import { orNotFound } from '@/ui/frame/orNotFound'
import { day } from '@/ui/tables/dates'

export const metadata: Metadata = { title: 'Write-up' }

export default async function WriteUpPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const props = await inStudio(async (tx) => {
    const { zone } = await studioFacts(tx)
    return {
      piece: await findOnWall(tx, id),
      text: writeUp(await writtenPiece(tx, id, (at) => day(at, zone))),
    }
  }).catch(orNotFound)
  return <WriteUp {...props} />
}
