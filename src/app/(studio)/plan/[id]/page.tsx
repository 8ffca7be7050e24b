import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { findPlan } from '@/db/plans/read'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { PlanDesk } from '@/stations/plan/desk/PlanDesk'
import { deskFacts } from '@/stations/plan/queries'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Plan' }

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { plan, facts } = await inStudio(async (tx) => ({
    plan: await findPlan(tx, id),
    facts: await deskFacts(tx, id),
  })).catch(orNotFound)
  return <PlanDesk key={plan.id} plan={plan} chosen={[]} facts={facts} />
}
