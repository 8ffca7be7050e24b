import type { Metadata } from 'next'
import { rackBottles } from '@/db/bottles/rack'
import { studioFacts } from '@/db/people/studio'
import { techniqueBook } from '@/db/techniques/read'
import { waterVerdicts } from '@/db/bottles/waterRoom'
import { inStudio } from '@/session/current'
import { Alerts } from '@/stations/rack/Alerts'
import { alertsOf, tooThick } from '@/stations/rack/find'

export const metadata: Metadata = { title: 'What to do' }

export default async function AlertsPage() {
  const now = new Date()
  const alerts = await inStudio(async (tx) => {
    const all = await rackBottles(tx, false)
    const techniques = await techniqueBook(tx)
    const water = await waterVerdicts(tx, tooThick(all, now, techniques))
    const { zone, drops } = await studioFacts(tx)
    return alertsOf(all, now, zone, (id) => water.get(id)?.roomUl, drops.water, techniques)
  })
  return <Alerts alerts={alerts} />
}
