import type { Metadata } from 'next'
import { journal, pouredByMonth } from '@/db/ledger'
import { listDroppers } from '@/db/people/droppers'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Notebook } from '@/stations/notebook/Notebook'

export const metadata: Metadata = { title: 'Notebook' }

export default async function NotebookPage() {
  const props = await inStudio(async (tx) => {
    const studio = await studioFacts(tx)
    return {
      entries: await journal(tx, null, 60),
      months: await pouredByMonth(tx, studio.zone),
      studio,
      droppers: await listDroppers(tx),
    }
  })
  return <Notebook {...props} />
}
