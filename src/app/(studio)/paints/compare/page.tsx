import type { Metadata } from 'next'
import { Link } from '@/ui/frame/Link'
import { readOptics } from '@/db/materials/optics'
import { studioFacts } from '@/db/people/studio'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { SideBySide } from '@/stations/paints/compare/SideBySide'
import { drawerOf } from '@/db/materials/drawer'
import { pairNotes } from '@/db/materials/read'
import { PaintsNav } from '@/stations/paints/PaintsNav'
import { EmptyState } from '@/ui/frame/Notice'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Side by side' }

export default async function Compare({ searchParams }: { searchParams: Search }) {
  const ids = [...new Set((firstValues(await searchParams).ids ?? '').split(',').filter(isId))].slice(0, 12)
  const { paints, notes, currency, optics } = await inStudio(async (tx) => {
    const shelves = [await drawerOf(tx, false), await drawerOf(tx, true)]
    const paints = ids.flatMap((id) => shelves.flatMap((s) => s.rows[s.index.get(id) ?? -1] ?? []))
    return {
      paints,
      notes: paints.length > 1 ? await pairNotes(tx, ids) : [],
      currency: (await studioFacts(tx)).currency,
      optics: await readOptics(tx, ids),
    }
  })
  return (
    <>
      <div className="head">
        <h1>
          Side by side <span className="sub">{paints.length} paints</span>
        </h1>
      </div>
      <PaintsNav here="/paints" />
      {paints.length < 2 ? (
        <EmptyState title="Put paints on the tray first">
          Two or more paints on the tray can be laid side by side.
          <br />
          <Link className="go" href="/paints">
            To the drawer
          </Link>
        </EmptyState>
      ) : (
        <SideBySide paints={paints} notes={notes} currency={currency} optics={optics} />
      )}
    </>
  )
}
