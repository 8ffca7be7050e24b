import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { studioFacts } from '@/db/people/studio'
import { coatsOf, finishWhen } from '@/db/pieces/finish'
import { findPiece } from '@/db/pieces/read'
import { inStudio } from '@/session/current'
import { FinishDesk } from '@/stations/wall/finish/FinishDesk'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Finish' }

export default async function FinishPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const props = await inStudio(async (tx) => {
    const piece = await findPiece(tx, id)
    const { zone, currency } = await studioFacts(tx)
    return {
      piece,
      when: await finishWhen(tx, id),
      coats: await coatsOf(tx, id),
      isVessel: piece.surface.shape === 'profile',
      zone,
      currency,
      now: new Date().getTime(),
    }
  }).catch(orNotFound)
  return <FinishDesk {...props} />
}
