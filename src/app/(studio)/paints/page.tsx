import type { Metadata } from 'next'
import Link from 'next/link'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Drawer } from '@/stations/paints/drawer/Drawer'
import { readFilter } from '@/stations/paints/drawer/filter'
import { findPaints } from '@/stations/paints/drawer/find'
import { PaintsNav } from '@/stations/paints/PaintsNav'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Paints' }

export default async function Paints({ searchParams }: { searchParams: Search }) {
  const filter = { ...readFilter(firstValues(await searchParams)), from: 0 }
  const { found, currency } = await inStudio(async (tx) => ({
    found: await findPaints(tx, filter, new Date()),
    currency: (await studioFacts(tx)).currency,
  }))
  return (
    <>
      <div className="head">
        <h1>
          Paints{' '}
          <span className="sub">
            {found.total} {found.total === 1 ? 'paint' : 'paints'}
            {filter.archived ? ', put away' : ''}
          </span>
        </h1>
        <Link className="go" href="/paints/new" data-key="n">
          Add a paint
        </Link>
      </div>
      <PaintsNav here="/paints" />
      <Drawer filter={filter} found={found} currency={currency} />
    </>
  )
}
