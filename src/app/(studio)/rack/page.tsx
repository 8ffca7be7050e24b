import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { findBottles, RACK_CHUNK } from '@/stations/rack/find'
import { readRackFilter } from '@/stations/rack/filter'
import { Shelf } from '@/stations/rack/Shelf'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Rack' }

export default async function Rack({ searchParams }: { searchParams: Search }) {
  const filter = readRackFilter(firstValues(await searchParams))
  const now = new Date()
  const found = await inStudio(async (tx) => {
    const { zone, drops } = await studioFacts(tx)
    return findBottles(tx, filter, now, zone, 0, RACK_CHUNK, drops.water)
  })
  return <Shelf found={found} filter={filter} now={now.getTime()} />
}
