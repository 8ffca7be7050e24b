import type { Metadata } from 'next'
import { rackBottles } from '@/db/bottles/rack'
import { looksToTake } from '@/db/pieces/read'
import { studioFacts } from '@/db/people/studio'
import { techniqueBook } from '@/db/techniques/read'
import { waterVerdicts } from '@/db/bottles/waterRoom'
import { inStudio } from '@/session/current'
import { Alerts } from '@/stations/rack/Alerts'
import { alertsOf, tooThick } from '@/stations/rack/find'

export const metadata: Metadata = { title: 'What to do' }

/** Looks are shown so long before they are due. */
const WEEK_MS = 7 * 24 * 3_600_000

export default async function AlertsPage() {
  const now = new Date()
  const props = await inStudio(async (tx) => {
    const all = await rackBottles(tx, false)
    const techniques = await techniqueBook(tx)
    const water = await waterVerdicts(tx, tooThick(all, now, techniques))
    const { zone, drops } = await studioFacts(tx)
    return {
      alerts: alertsOf(all, now, zone, (id) => water.get(id)?.roomUl, drops.water, techniques),
      looks: (await looksToTake(tx)).filter((l) => l.isDue || Date.parse(l.dueAt) < now.getTime() + WEEK_MS),
      zone,
    }
  })
  return <Alerts {...props} />
}
