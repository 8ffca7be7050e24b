import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { listPieces } from '@/db/pieces/read'
import { plansOfWork } from '@/db/plans/read'
import { studioFacts } from '@/db/people/studio'
import { techniqueBook } from '@/db/techniques/read'
import { workLinks } from '@/db/people/workLinks'
import { findWork } from '@/db/works/read'
import { inStudio } from '@/session/current'
import { WorkForm } from '@/stations/plan/works/WorkForm'
import { WorkLinks } from '@/stations/plan/works/WorkLinks'
import { WorkSheet } from '@/stations/plan/works/WorkSheet'
import { orNotFound } from '@/ui/frame/orNotFound'
import { dayOn } from '@/ui/tables/dates'

export const metadata: Metadata = { title: 'Work' }

export default async function WorkPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { work, plans, pieces, techniques, studio, links } = await inStudio(async (tx) => ({
    work: await findWork(tx, id),
    plans: await plansOfWork(tx, id),
    pieces: await listPieces(tx),
    techniques: await techniqueBook(tx),
    studio: await studioFacts(tx),
    links: await workLinks(tx, id),
  })).catch(orNotFound)
  return (
    <div className="wide-left">
      <WorkSheet
        work={work}
        plans={plans}
        pieces={pieces}
        techniques={techniques}
        currency={studio.currency}
        zone={studio.zone}
      />
      <div className="grid">
        <WorkForm key={work.revision} work={work} today={dayOn(new Date().getTime(), studio.zone)} />
        <WorkLinks workId={work.id} links={links} zone={studio.zone} suggested={work.forWhom} />
      </div>
    </div>
  )
}
