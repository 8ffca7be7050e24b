import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { MOMENTS, type Moment } from '@/core/piece/looks'
import { isId } from '@/db/base/withStudio'
import { studioFacts } from '@/db/people/studio'
import { looksOf } from '@/db/pieces/looks'
import { findPiece } from '@/db/pieces/read'
import { inStudio } from '@/session/current'
import { LookSheet } from '@/stations/wall/look/LookSheet'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'A look' }

export default async function LookPage({ params }: { params: Promise<{ id: string; moment: string }> }) {
  const { id, moment } = await params
  if (!isId(id) || !(MOMENTS as readonly string[]).includes(moment)) notFound()
  const props = await inStudio(async (tx) => ({
    piece: await findPiece(tx, id),
    look: (await looksOf(tx, id)).find((l) => l.moment === moment),
    zone: (await studioFacts(tx)).zone,
  })).catch(orNotFound)
  return <LookSheet {...props} moment={moment as Moment} />
}
