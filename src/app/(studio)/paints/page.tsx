import type { Metadata } from 'next'
import { Link } from '@/ui/frame/Link'
import { firstRun } from '@/db/people/firstRun'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { Drawer } from '@/stations/paints/drawer/Drawer'
import { readFilter } from '@/stations/paints/drawer/filter'
import { findPaints } from '@/stations/paints/drawer/find'
import { PaintsNav } from '@/stations/paints/PaintsNav'
import { FirstSteps } from '@/ui/frame/FirstSteps'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Paints' }

export default async function Paints({ searchParams }: { searchParams: Search }) {
  const filter = { ...readFilter(firstValues(await searchParams)), from: 0 }
  const { found, currency, begun } = await inStudio(async (tx) => {
    const found = await findPaints(tx, filter, new Date())
    return {
      found,
      currency: (await studioFacts(tx)).currency,
      // Somebody who has just come in sees the way through; who has paints finds it with the plans.
      begun: found.total === 0 ? await firstRun(tx) : undefined,
    }
  })
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
      {begun && !begun.paints ? <FirstSteps run={begun} /> : null}
      <Drawer filter={filter} found={found} currency={currency} />
    </>
  )
}
