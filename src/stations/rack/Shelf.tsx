'use client'

import { Link } from '@/ui/frame/Link'
import { EmptyState } from '@/ui/frame/Notice'
import { useLive } from '@/ui/hooks/useLive'
import { useRefresh } from '@/ui/hooks/useRefresh'
import { FindByCode } from './FindByCode'
import type { FoundRack } from './find'
import { RackFilters } from './RackFilters'
import { RackNav } from './RackNav'
import { RackShelves } from './RackShelves'
import { rackAddress, type RackFilterInput } from './filter'

/** The rack: bottles on shelves as the maker likes them, each with its level, colour, rest and age, and what it needs. */
export function Shelf({ found, filter, now }: { found: FoundRack; filter: RackFilterInput; now: number }) {
  useLive((topic) => topic === 'rack', useRefresh())
  const narrowed = Boolean(filter.q || filter.role || filter.show || filter.need || filter.palette)
  return (
    <>
      <div className="head">
        <h1>
          Rack{' '}
          <span className="sub">
            {found.total} {found.total === 1 ? 'bottle' : 'bottles'}
            {filter.show === 'empty' ? ', empty' : ''}
          </span>
        </h1>
        <FindByCode />
        <Link className="go" href="/bench" data-key="n">
          Mix a bottle
        </Link>
      </div>
      <RackNav here="/rack" />
      <RackFilters filter={filter} found={found} />
      {found.total > 0 ? (
        <RackShelves found={found} address={rackAddress(filter)} now={now} />
      ) : narrowed ? (
        <EmptyState title="No such bottle">Take a filter away, or search for fewer letters.</EmptyState>
      ) : (
        <EmptyState title="The rack is empty">
          Mix a paint with medium at the bench, book it, and it stands here with its level, age and recipe.
          <br />
          <Link className="go" href="/bench">
            Mix a bottle
          </Link>
        </EmptyState>
      )}
    </>
  )
}
