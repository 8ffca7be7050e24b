import type { Metadata } from 'next'
import { listPieces } from '@/db/pieces/read'
import { hasPaints } from '@/db/materials/read'
import { inStudio } from '@/session/current'
import { worksFacts } from '@/stations/plan/queries'
import { Works } from '@/stations/plan/works/Works'

export const metadata: Metadata = { title: 'Plan' }

export default async function Plans() {
  const now = new Date().getTime()
  const { studio, bottles, cups, works, plans, scheduled, places, techniques, pieces, paints } = await inStudio(
    async (tx) => ({ ...(await worksFacts(tx, now)), pieces: await listPieces(tx), paints: await hasPaints(tx) }),
  )
  const firstRun = {
    starter: cups.length > 0 || places.length > 0,
    paints,
    bottles: bottles.length > 0,
    plans: plans.length > 0,
    pieces: pieces.length > 0,
  }
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
      firstRun={firstRun}
    />
  )
}
