import type { Metadata } from 'next'
import { listPlans } from '@/db/plans/read'
import { openRuns } from '@/db/runs/read'
import { studioFacts } from '@/db/people/studio'
import { listSurfaces } from '@/db/surfaces/read'
import { techniqueBook } from '@/db/techniques/read'
import { inStudio } from '@/session/current'
import { OpenPlans } from '@/stations/pour/OpenPlans'

export const metadata: Metadata = { title: 'Pour' }

export default async function Pours() {
  const props = await inStudio(async (tx) => ({
    plans: await listPlans(tx),
    techniques: await techniqueBook(tx),
    runs: await openRuns(tx),
    stock: await listSurfaces(tx),
    studio: await studioFacts(tx),
  }))
  return <OpenPlans {...props} />
}
