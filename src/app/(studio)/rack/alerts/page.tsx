import type { Metadata } from 'next'
import { rackBottles } from '@/db/rack'
import { studioFacts } from '@/db/studio'
import { inStudio } from '@/session/current'
import { Alerts } from '@/stations/rack/Alerts'
import { alertsOf } from '@/stations/rack/find'

export const metadata: Metadata = { title: 'What to do' }

export default async function AlertsPage() {
  const alerts = await inStudio(async (tx) =>
    alertsOf(await rackBottles(tx, false), new Date(), (await studioFacts(tx)).zone),
  )
  return <Alerts alerts={alerts} />
}
