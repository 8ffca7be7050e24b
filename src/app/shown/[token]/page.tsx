import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { behindWorkLink } from '@/db/people/workLinks'
import { listPieces } from '@/db/pieces/read'
import { plansOfWork } from '@/db/plans/read'
import { techniqueBook } from '@/db/techniques/read'
import { findWork } from '@/db/works/read'
import { WorkShown } from '@/stations/plan/works/WorkShown'
import { LinkOver } from '@/ui/frame/LinkOver'

export const metadata: Metadata = { title: 'Sketches', robots: { index: false } }

export default async function ShownPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const shown = await behindWorkLink(token, async (tx, workId, endsAt) => ({
    work: await findWork(tx, workId),
    plans: await plansOfWork(tx, workId),
    pieces: await listPieces(tx),
    techniques: await techniqueBook(tx),
    studio: await studioFacts(tx),
    endsAt,
  }))
  if (!shown) return <LinkOver title="This link has ended">Ask the studio for a new one.</LinkOver>
  const { studio, ...rest } = shown
  return (
    <WorkShown
      {...rest}
      studioName={studio.name}
      zone={studio.zone}
      photoPath={(id) => `/shown/${token}/photo/${id}`}
    />
  )
}
