import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { ConsistencyDesk } from '@/stations/bench/consistency/ConsistencyDesk'
import { consistencyData } from '@/stations/bench/consistency/queries'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Consistency' }

export default async function ConsistencyPage({ searchParams }: { searchParams: Search }) {
  const { bottle } = firstValues(await searchParams)
  const now = new Date()
  const data = await inStudio((tx) => consistencyData(tx, now))
  const first = data.bottles.some((b) => b.id === bottle) ? bottle : undefined
  return <ConsistencyDesk data={data} first={first} now={now.toISOString()} />
}
