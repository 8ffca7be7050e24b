import type { Metadata } from 'next'
import { journal, pouredByMonth } from '@/db/ledger'
import { listDroppers } from '@/db/people/droppers'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Notebook } from '@/stations/notebook/Notebook'

export const metadata: Metadata = { title: 'Notebook' }

export default async function NotebookPage() {
  const props = await inStudio(async (tx) => ({
    entries: await journal(tx, null, 60),
    months: await pouredByMonth(tx),
    studio: await studioFacts(tx),
    droppers: await listDroppers(tx),
  }))
  return <Notebook {...props} />
}
