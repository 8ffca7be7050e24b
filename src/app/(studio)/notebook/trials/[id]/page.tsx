import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { trialFacts } from '@/stations/notebook/trials/facts'
import { TrialSheet } from '@/stations/notebook/trials/TrialSheet'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Trial' }

export default async function TrialPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { facts, person } = await inStudio(async (tx, who) => ({
    facts: await trialFacts(tx, id),
    person: who.accountName,
  })).catch(orNotFound)
  return <TrialSheet key={facts.trial.revision} {...facts} person={person} />
}
