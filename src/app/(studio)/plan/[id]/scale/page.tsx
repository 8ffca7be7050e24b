import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { findPlan } from '@/db/plans/read'
import { inStudio } from '@/session/current'
import { Again } from '@/stations/plan/again/Again'
import { deskFacts } from '@/stations/plan/queries'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Scale up' }

export default async function ScalePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { plan, facts } = await inStudio(async (tx) => ({
    plan: await findPlan(tx, id),
    facts: await deskFacts(tx, null),
  })).catch(orNotFound)
  const from = { ...plan, kind: 'final' as const, pourOn: null, afterPlanId: plan.id, afterPieceId: null }
  return <Again from={from} said="scaled up: ratios stay, cups, coats and dates are worked out anew" facts={facts} />
}
