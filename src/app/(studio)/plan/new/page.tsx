import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { PlanDesk } from '@/stations/plan/desk/PlanDesk'
import { deskFacts } from '@/stations/plan/queries'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'New plan' }

export default async function NewPlan({ searchParams }: { searchParams: Search }) {
  const { bottles = '', work } = firstValues(await searchParams)
  const wanted = bottles.split(',')
  const facts = await inStudio((tx) => deskFacts(tx, null))
  const chosen = wanted.filter((id) => facts.bottles.some((b) => b.id === id))
  const workId = facts.works.find((w) => w.id === work)?.id ?? null
  return <PlanDesk chosen={chosen} workId={workId} facts={facts} />
}
