import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { deskFacts } from '@/stations/plan/queries'
import { secondsPerNuHere } from '@/stations/plan/rehearse/queries'
import { RehearseDesk } from '@/stations/plan/rehearse/RehearseDesk'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Rehearse' }

/** A rehearsal on its own, of bottles from the tray in one cup on a usual canvas. */
export default async function RehearseOnItsOwn({ searchParams }: { searchParams: Search }) {
  const { bottles = '' } = firstValues(await searchParams)
  const { facts, secondsPerNu } = await inStudio(async (tx) => ({
    facts: await deskFacts(tx, null),
    secondsPerNu: await secondsPerNuHere(tx),
  }))
  const chosen = bottles.split(',').filter((id) => facts.bottles.some((b) => b.id === id))
  return <RehearseDesk chosen={chosen} facts={facts} kept={[]} secondsPerNu={secondsPerNu} />
}
