import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { runDesk } from '@/stations/pour/run/queries'
import { RunScreen } from '@/stations/pour/run/RunScreen'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Pouring' }

export default async function RunPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  return <RunScreen desk={await inStudio((tx) => runDesk(tx, id)).catch(orNotFound)} />
}
