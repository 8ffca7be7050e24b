import type { Metadata } from 'next'
import { listBottles } from '@/db/bottles'
import { inStudio } from '@/session/current'
import { rackFilterSchema } from '@/stations/rack/schema'
import { Shelf } from '@/stations/rack/Shelf'
import { firstValues, type Search } from '@/ui/search'

export const metadata: Metadata = { title: 'Rack' }

export default async function Rack({ searchParams }: { searchParams: Search }) {
  const wanted = rackFilterSchema.cast(firstValues(await searchParams), { stripUnknown: true, assert: false })
  const filter = rackFilterSchema.isValidSync(wanted) ? wanted : rackFilterSchema.getDefault()
  const { bottles, total } = await inStudio((tx) => listBottles(tx, filter))
  return <Shelf bottles={bottles} total={total} filter={filter} now={new Date()} />
}
