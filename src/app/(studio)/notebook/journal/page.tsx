import type { Metadata } from 'next'
import { journal } from '@/db/ledger'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Journal } from '@/stations/notebook/journal/Journal'
import { readJournalFilter } from '@/stations/notebook/journal/journalFilter'
import { PAGE } from '@/stations/notebook/journal/pages'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Journal' }

export default async function JournalPage({ searchParams }: { searchParams: Search }) {
  const { kind } = readJournalFilter(firstValues(await searchParams))
  const { entries, zone } = await inStudio(async (tx) => ({
    entries: await journal(tx, null, PAGE, { kind }),
    zone: (await studioFacts(tx)).zone,
  }))
  return <Journal key={`${kind} ${entries[0]?.id}`} entries={entries} kind={kind} zone={zone} page={PAGE} />
}
