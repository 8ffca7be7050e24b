import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { WorkForm } from '@/stations/plan/works/WorkForm'
import { dayOn } from '@/ui/tables/dates'

export const metadata: Metadata = { title: 'New work' }

export default async function NewWork() {
  const { zone } = await inStudio(studioFacts)
  return (
    <>
      <div className="head">
        <h1>
          New work <span className="sub">what belongs together: practice, series, commission, gift, show</span>
        </h1>
      </div>
      <WorkForm today={dayOn(new Date().getTime(), zone)} />
    </>
  )
}
