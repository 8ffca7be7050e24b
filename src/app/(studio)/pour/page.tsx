import type { Metadata } from 'next'
import { listPlans } from '@/db/plans/read'
import { techniqueBook } from '@/db/techniques/read'
import { inStudio } from '@/session/current'
import { OpenPlans } from '@/stations/pour/OpenPlans'

export const metadata: Metadata = { title: 'Pour' }

export default async function Pours() {
  const { plans, techniques } = await inStudio(async (tx) => ({
    plans: await listPlans(tx),
    techniques: await techniqueBook(tx),
  }))
  return <OpenPlans plans={plans} techniques={techniques} />
}
