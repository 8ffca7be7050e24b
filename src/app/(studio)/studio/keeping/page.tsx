import type { Metadata } from 'next'
import { listBackups } from '@/db/everything/backups'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Keeping } from '@/stations/studio/keeping/Keeping'

export const metadata: Metadata = { title: 'Keeping' }

export default async function KeepingPage() {
  const { zone, decides } = await inStudio(async (tx, who) => ({
    zone: (await studioFacts(tx)).zone,
    decides: who.role === 'owner',
  }))
  return <Keeping backups={await listBackups()} now={new Date().toISOString()} zone={zone} decides={decides} />
}
