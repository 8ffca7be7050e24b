import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Starter } from '@/stations/plan/starter/Starter'

export const metadata: Metadata = { title: 'What every room has' }

export default async function StarterPage() {
  return <Starter units={(await inStudio(studioFacts)).units} />
}
