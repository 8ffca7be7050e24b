import type { Metadata } from 'next'
import { triedTogether } from '@/db/plans/read'
import { inStudio } from '@/session/current'
import { Ideas } from '@/stations/plan/ideas/Ideas'
import { deskFacts } from '@/stations/plan/queries'

export const metadata: Metadata = { title: 'Ideas' }

export default async function IdeasPage() {
  const { facts, tried } = await inStudio(async (tx) => ({
    facts: await deskFacts(tx, null, { ideas: true }),
    tried: await triedTogether(tx),
  }))
  // Another day, other ideas; on one day the same ones first.
  return <Ideas facts={facts} tried={tried} seed={Math.floor(facts.now / 86_400_000)} />
}
