import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { isId } from '@/db/base/withStudio'
import { findPlan } from '@/db/plans/read'
import { cupSizes } from '@/db/room/read'
import { techniqueBook } from '@/db/techniques/read'
import { inStudio } from '@/session/current'
import { PutOut } from '@/stations/plan/lists/PutOut'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Put out' }

export default async function PutOutPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const props = await inStudio(async (tx) => ({
    plan: await findPlan(tx, id),
    techniques: await techniqueBook(tx),
    cups: await cupSizes(tx),
  })).catch(orNotFound)
  return <PutOut {...props} />
}
