import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { findPlan } from '@/db/plans/read'
import { studioFacts } from '@/db/people/studio'
import { makersWord } from '@/db/materials/makersWord'
import { listSurfaces } from '@/db/surfaces/read'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { PlanEditor } from '@/stations/plan/PlanEditor'
import { pricedBottles } from '@/stations/plan/queries'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Plan' }

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { plan, bottles, studio, surfaces, word } = await inStudio(async (tx) => ({
    plan: await findPlan(tx, id),
    bottles: await pricedBottles(tx),
    studio: await studioFacts(tx),
    surfaces: await listSurfaces(tx),
    word: await makersWord(tx),
  })).catch(orNotFound)
  return (
    <PlanEditor
      key={plan.id}
      plan={plan}
      bottles={bottles}
      chosen={[]}
      units={studio.units}
      currency={studio.currency}
      surfaces={surfaces}
      word={word}
    />
  )
}
