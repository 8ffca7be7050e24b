import type { Metadata } from 'next'
import { firstRun } from '@/db/people/firstRun'
import { inStudio } from '@/session/current'
import { worksFacts } from '@/stations/plan/queries'
import { Works } from '@/stations/plan/works/Works'

export const metadata: Metadata = { title: 'Plan' }

export default async function Plans() {
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
      firstSteps={firstSteps}
    />
  )
}
