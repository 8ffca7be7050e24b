import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { trialListFacts } from '@/stations/notebook/trials/facts'
import { TrialList } from '@/stations/notebook/trials/TrialList'

export const metadata: Metadata = { title: 'Trials' }

export default async function TrialsPage() {
  return <TrialList {...await inStudio(trialListFacts)} />
}
