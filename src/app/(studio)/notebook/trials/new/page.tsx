import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { newTrialFacts } from '@/stations/notebook/trials/facts'
import { TrialForm } from '@/stations/notebook/trials/TrialForm'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'A trial' }

export default async function NewTrialPage({ searchParams }: { searchParams: Search }) {
  const { material, fault = '' } = firstValues(await searchParams)
  const facts = await inStudio((tx) => newTrialFacts(tx, material))
  return <TrialForm {...facts} fault={fault.slice(0, 60)} />
}
