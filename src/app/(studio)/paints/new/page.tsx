import type { Metadata } from 'next'
import { studioFacts } from '@/db/studio'
import { inStudio } from '@/session/current'
import { MaterialForm } from '@/stations/paints/MaterialForm'
import { choices } from '@/stations/paints/queries'
import { firstValues, type Search } from '@/ui/search'

export const metadata: Metadata = { title: 'Add a paint' }

export default async function NewPaint({ searchParams }: { searchParams: Search }) {
  const kind = firstValues(await searchParams).kind === 'medium' ? 'medium' : 'paint'
  const { units, makers } = await inStudio(async (tx) => ({
    units: (await studioFacts(tx)).units,
    makers: (await choices(tx)).makers,
  }))
  return (
    <>
      <div className="head">
        <h1>{kind === 'paint' ? 'Add a paint' : 'Add a medium'}</h1>
      </div>
      <MaterialForm kind={kind} units={units} makers={makers} />
    </>
  )
}
