import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { pouredFacts } from '@/db/learning/pieces'
import { findPlan } from '@/db/plans/read'
import { isId } from '@/db/base/withStudio'
import { rehearsalsOf } from '@/db/rehearsals/read'
import { techniqueBook } from '@/db/techniques/read'
import { inStudio } from '@/session/current'
import { deskFacts } from '@/stations/plan/queries'
import { secondsPerNuHere, weighingOf } from '@/stations/plan/rehearse/queries'
import { RehearseDesk } from '@/stations/plan/rehearse/RehearseDesk'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Rehearse' }

export default async function RehearsePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { plan, ...rest } = await inStudio(async (tx) => {
    const plan = await findPlan(tx, id)
    const poured = await pouredFacts(tx, await techniqueBook(tx))
    return {
      plan,
      facts: await deskFacts(tx, id, { known: poured }),
      kept: await rehearsalsOf(tx, id),
      secondsPerNu: await secondsPerNuHere(tx),
      weighing: await weighingOf(tx, plan.technique, poured),
    }
  }).catch(orNotFound)
  return <RehearseDesk key={plan.id} plan={plan} {...rest} />
}
