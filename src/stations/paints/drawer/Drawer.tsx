'use client'

import { Segmented, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { SearchBox } from '@/ui/frame/SearchBox'
import { useAddressFilter } from '@/ui/hooks/useAddressFilter'
import { CardGrid } from './CardGrid'
import { Facets } from './Facets'
import { addressOf, FACETS, filterSchema, picksOf, SORTS, type PaintFilter, type SortKey } from './filter'
import type { Found } from './find'
import { PaintTable } from './PaintTable'
import styles from './drawer.module.css'

/** The drawer: drawdown cards or a table, beside facets with live counts. The whole view is in the address. */
export function Drawer({ filter, found, currency }: { filter: PaintFilter; found: Found; currency: string }) {
  const { q, type, go, shown } = useAddressFilter(filter, filterSchema.getDefault())
  const [facetsOpen, setFacetsOpen] = useState(false)
  const narrowed = Boolean(filter.q || FACETS.some(([k]) => filter[k]))
  const key = addressOf(filter).toString()
  const rows = { filter, first: found.rows, total: found.total, currency }
  return (
    <>
      <div className="tools" role="search">
        <SearchBox value={q} onType={type} label="Search paints" placeholder="Search maker, name, pigment, tag" />
        <Select<SortKey>
          aria-label="Order"
          value={shown.sort}
          onChange={(sort) => go({ sort })}
          options={Object.entries(SORTS).map(([value, label]) => ({ value: value as SortKey, label }))}
          className="w240"
        />
        <Segmented<PaintFilter['view']>
          value={shown.view}
          onChange={(view) => go({ view })}
          options={[
            { value: 'cards', label: 'Cards' },
            { value: 'table', label: 'Table' },
          ]}
        />
        <Segmented<PaintFilter['archived']>
          value={shown.archived}
          onChange={(archived) => go({ archived })}
          options={[
            { value: '', label: 'In the drawer' },
            { value: 'yes', label: 'Put away' },
          ]}
        />
        <button type="button" className={`go second ${styles.facetsToggle}`} onClick={() => setFacetsOpen(!facetsOpen)}>
          {facetsOpen ? 'Hide filters' : 'Filters'}
        </button>
      </div>
      <Picked filter={shown} go={go} />
      <div className={styles.drawer} data-facets={facetsOpen ? 'open' : undefined}>
        <Facets filter={shown} counts={found.counts} onPick={(k, picks) => go({ [k]: picks.join('|') })} />
        <div>
          {found.near && found.total > 0 ? (
            <Notice>Nothing is written “{filter.q}”. These are the nearest.</Notice>
          ) : null}
          {found.total === 0 ? (
            <Nothing narrowed={narrowed || filter.archived === 'yes'} />
          ) : filter.view === 'table' ? (
            <PaintTable key={key} {...rows} />
          ) : (
            <CardGrid key={key} {...rows} />
          )}
        </div>
      </div>
    </>
  )
}

/** What narrows the view, each to be taken away by one tap. */
function Picked({ filter, go }: { filter: PaintFilter; go: (change: Partial<PaintFilter>) => void }) {
  const picked = FACETS.flatMap(([key, title]) => picksOf(filter, key).map((value) => ({ key, title, value })))
  if (picked.length === 0) return null
  return (
    <div className={styles.picked} aria-label="Chosen filters">
      {picked.map(({ key, title, value }) => (
        <button
          key={`${key} ${value}`}
          type="button"
          title={`Take ${title}: ${value} away`}
          onClick={() =>
            go({
              [key]: picksOf(filter, key)
                .filter((v) => v !== value)
                .join('|'),
            })
          }
        >
          {value} <span aria-hidden="true">×</span>
        </button>
      ))}
      <button
        type="button"
        className="plain"
        onClick={() => go(Object.fromEntries(FACETS.map(([key]) => [key, ''])) as Partial<PaintFilter>)}
      >
        Clear all
      </button>
    </div>
  )
}

function Nothing({ narrowed }: { narrowed: boolean }) {
  if (narrowed) return <EmptyState title="Nothing matches">Take a filter away, or search for fewer words.</EmptyState>
  return (
    <EmptyState title="The drawer is empty">
      Bring in a list you have, or add the first one by hand.
      <br />
      <Link className="go" href="/paints/import">
        Bring in a list
      </Link>
      <Link className="go second" href="/paints/new">
        Add a paint
      </Link>
      <Link className="go second" href="/paints/new?kind=medium">
        Add a medium
      </Link>
    </EmptyState>
  )
}
