import Link from 'next/link'
import { formatMl } from '@/core/quantity/format'
import { bottleFacts, bottleState, level, STATE_WORDS } from '@/core/vessel/bottleState'
import { RACK_PAGE, type Bottle } from '@/db/bottles'
import { BottleGlyph } from '@/ui/BottleGlyph'
import { ago } from '@/ui/dates'
import { EmptyState } from '@/ui/Notice'
import { TrayMark } from '@/ui/TrayMark'
import { RackFilters } from './RackFilters'
import type { RackFilterInput } from './schema'

/** The rack: bottles on shelves, each with its real level, colour, sheen and age, and what it needs. */
export function Shelf({
  bottles,
  total,
  filter,
  now,
}: {
  bottles: Bottle[]
  total: number
  filter: RackFilterInput
  now: Date
}) {
  const pages = Math.ceil(total / RACK_PAGE)
  const filtered = Boolean(filter.q || filter.role || filter.show)
  return (
    <>
      <div className="head">
        <h1>
          Rack{' '}
          <span className="sub">
            {total} {total === 1 ? 'bottle' : 'bottles'}
            {filter.show === 'empty' ? ', empty' : ''}
          </span>
        </h1>
        <Link className="go" href="/bench" data-key="n">
          Mix a bottle
        </Link>
      </div>
      <RackFilters filter={filter} />
      {bottles.length === 0 ? (
        filtered ? (
          <EmptyState title="No such bottle">Take a filter away, or search for fewer letters.</EmptyState>
        ) : (
          <EmptyState title="The rack is empty">
            Mix a paint with medium at the bench, book it, and it stands here with its level, age and recipe.
            <br />
            <Link className="go" href="/bench">
              Mix a bottle
            </Link>
          </EmptyState>
        )
      ) : (
        <ul className="shelf">
          {bottles.map((b) => (
            <ShelfBottle key={b.id} b={b} now={now} />
          ))}
        </ul>
      )}
      {pages > 1 ? <Pages filter={filter} pages={pages} /> : null}
    </>
  )
}

function ShelfBottle({ b, now }: { b: Bottle; now: Date }) {
  const facts = bottleFacts(b)
  const state = bottleState(facts, now)
  return (
    <li data-card>
      <Link href={`/rack/${b.id}`} prefetch={false}>
        <BottleGlyph
          id={b.id}
          look={{
            hex: b.hex,
            sheen: b.sheen,
            level: level(facts),
            resting: state === 'resting',
            empty: state === 'empty',
          }}
        />
        <b>{b.label}</b>
        <small>
          {formatMl(b.ul)} · {b.role}
        </small>
        <small>mixed {ago(b.mixedAt, now)}</small>
        <small className="state">
          {state === 'resting'
            ? `Rest: ${ago(b.restUntil, now).replace(/^in /, '')}`
            : state === 'ready'
              ? ''
              : STATE_WORDS[state]}
        </small>
      </Link>
      <TrayMark item={{ kind: 'bottle', id: b.id, label: b.label, hex: b.hex, sheen: b.sheen }} />
    </li>
  )
}

function Pages({ filter, pages }: { filter: RackFilterInput; pages: number }) {
  const to = (page: number) => {
    const params = new URLSearchParams()
    for (const [k, v] of Object.entries({ ...filter, page }))
      if (v && !(k === 'sort' && v === 'newest') && !(k === 'page' && v === 1)) params.set(k, String(v))
    return `/rack${params.size ? `?${params}` : ''}`
  }
  return (
    <nav aria-label="Pages of the rack" className="tools" style={{ marginTop: 20, justifyContent: 'center' }}>
      {filter.page > 1 ? (
        <Link className="go second" href={to(filter.page - 1)} prefetch={false}>
          Before
        </Link>
      ) : null}
      <span>
        Shelf {filter.page} of {pages}
      </span>
      {filter.page < pages ? (
        <Link className="go second" href={to(filter.page + 1)} prefetch={false}>
          Next
        </Link>
      ) : null}
    </nav>
  )
}
