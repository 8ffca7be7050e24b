import type { Metadata } from 'next'
import { firstRun } from '@/db/people/firstRun'
import { inStudio } from '@/session/current'
import { worksFacts } from '@/stations/plan/queries'
import { firstValues, type Search } from '@/ui/frame/search'
import { Works } from '@/stations/plan/works/Works'

export const metadata: Metadata = { title: 'Plan' }

export default async function Plans({ searchParams }: { searchParams: Search }) {
  const { all } = firstValues(await searchParams)
  const now = new Date().getTime()
  const { studio, works, plans, scheduled, places, techniques, firstSteps } = await inStudio(async (tx) => ({
    ...(await worksFacts(tx, now)),
    firstSteps: await firstRun(tx),
  }))
  return (
    <Works
      works={works}
      plans={plans}
      scheduled={scheduled}
      places={places}
      techniques={techniques}
      zone={studio.zone}
      currency={studio.currency}
      now={now}
      all={all === '1'}
      firstSteps={firstSteps}
    />
  )
}
