import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { MaterialForm } from '@/stations/paints/card/MaterialForm'
import { drawerOf } from '@/db/materials/drawer'
import { makers } from '@/db/materials/read'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Add a paint' }

const TITLES = { paint: 'Add a paint', medium: 'Add a medium', water: 'Add a thinner' } as const

export default async function NewMaterial({ searchParams }: { searchParams: Search }) {
  const wanted = firstValues(await searchParams).kind
  const kind = wanted === 'medium' || wanted === 'water' ? wanted : 'paint'
  const props = await inStudio(async (tx) => ({
    units: (await studioFacts(tx)).units,
    makers: await makers(tx),
    paints: (await drawerOf(tx, false)).rows.map((p) => ({
      id: p.id,
      label: [p.name, p.maker].filter(Boolean).join(' · '),
    })),
  }))
  return (
    <>
      <div className="head">
        <h1>{TITLES[kind]}</h1>
      </div>
      <MaterialForm kind={kind} {...props} />
    </>
  )
}
