import type { Metadata } from 'next'
import { listPlans } from '@/db/plans/read'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { PlanList } from '@/ui/tables/PlanList'

export const metadata: Metadata = { title: 'Pour' }

export default async function Pours() {
  const { plans, zone } = await inStudio(async (tx) => ({
    plans: await listPlans(tx),
    zone: (await studioFacts(tx)).zone,
  }))
  return <PlanList plans={plans} zone={zone} to="pour" />
}
