import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { bottlesById } from '@/db/bottles/read'
import { findPlan } from '@/db/plans/read'
import { studioFacts } from '@/db/people/studio'
import { rehearsalsOf } from '@/db/rehearsals/read'
import { waterVerdicts } from '@/db/bottles/waterRoom'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { PourSheet } from '@/stations/pour/PourSheet'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Pour' }

export default async function PourPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { plan, bottles, studio, rehearsals } = await inStudio(async (tx) => {
    const plan = await findPlan(tx, id)
    const ids = [...new Set(plan.parts.flatMap((p) => (p.of.kind === 'bottle' ? [p.of.id] : [])))]
    const water = await waterVerdicts(tx, ids)
    const bottles = (await bottlesById(tx, ids)).map((b) => ({ ...b, roomUl: water.get(b.id)?.roomUl }))
    return { plan, bottles, studio: await studioFacts(tx), rehearsals: await rehearsalsOf(tx, id) }
  }).catch(orNotFound)
  return (
    <PourSheet
      plan={plan}
      bottles={bottles}
      rehearsals={rehearsals}
      units={studio.units}
      now={new Date().toISOString()}
      zone={studio.zone}
    />
  )
}
