import type { Metadata } from 'next'
import { studioFacts } from '@/db/studio'
import { inStudio } from '@/session/current'
import { PaintDrawer } from '@/stations/paints/PaintDrawer'
import { choices, listMaterials } from '@/stations/paints/queries'
import { filterSchema } from '@/stations/paints/schema'
import { firstValues, type Search } from '@/ui/search'

export const metadata: Metadata = { title: 'Paints' }

export default async function Paints({ searchParams }: { searchParams: Search }) {
  const filter = filterSchema.cast(firstValues(await searchParams), { stripUnknown: true })
  const props = await inStudio(async (tx) => ({
    rows: await listMaterials(tx, filter),
    choices: await choices(tx),
    currency: (await studioFacts(tx)).currency,
  }))
  return <PaintDrawer {...props} filter={filter} />
}
