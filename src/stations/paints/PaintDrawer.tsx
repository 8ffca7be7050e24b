import Link from 'next/link'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { Drawdown } from '@/ui/Drawdown'
import { EmptyState } from '@/ui/Notice'
import { TrayMark } from '@/ui/TrayMark'
import { PaintFilters } from './PaintFilters'
import { PaintTable } from './PaintTable'
import type { Choices, MaterialRow } from './queries'
import type { PaintFilter } from './schema'

interface Props {
  rows: MaterialRow[]
  filter: PaintFilter
  choices: Choices
  currency: string
}

/** The drawer of drawdown cards, or the same as a plain table. */
export function PaintDrawer({ rows, filter, choices, currency }: Props) {
  const filtered = Boolean(
    filter.q || filter.maker || filter.body || filter.opacity || filter.sheen || filter.pigment || filter.archived,
  )
  return (
    <>
      <div className="head">
        <h1>
          Paints{' '}
          <span className="sub">
            {rows.length} {filter.kind === 'paint' ? (rows.length === 1 ? 'paint' : 'paints') : `${filter.kind}s`}
            {filter.archived ? ', put away' : ''}
          </span>
        </h1>
        <a className="go second" href="/paints/export" download>
          Export CSV
        </a>
        <Link className="go second" href="/paints/import">
          Import CSV
        </Link>
        <Link className="go" href={filter.kind === 'paint' ? '/paints/new' : '/paints/new?kind=medium'} data-key="n">
          {filter.kind === 'paint' ? 'Add a paint' : 'Add a medium'}
        </Link>
      </div>
      <PaintFilters filter={filter} choices={choices} />
      {rows.length === 0 ? (
        filtered ? (
          <EmptyState title="Nothing matches">Take a filter away, or search for fewer words.</EmptyState>
        ) : (
          <EmptyState title="The drawer is empty">
            Bring in a list you have, or add the first one by hand.
            <br />
            <Link className="go" href="/paints/import">
              Import CSV
            </Link>
            <Link className="go second" href="/paints/new">
              Add a paint
            </Link>
            <Link className="go second" href="/paints/new?kind=medium">
              Add a medium
            </Link>
          </EmptyState>
        )
      ) : filter.view === 'table' ? (
        <PaintTable rows={rows} currency={currency} />
      ) : filter.kind === 'paint' ? (
        <ul className="cards">
          {rows.map((m) => (
            <PaintCard key={m.id} m={m} currency={currency} />
          ))}
        </ul>
      ) : (
        <ul className="cards">
          {rows.map((m) => (
            <li key={m.id} className="card" data-card>
              <Link href={`/paints/${m.id}`} prefetch={false}>
                <MediumJar solids={m.solids} kind={m.mediumKind ?? m.kind} />
                <div className="card-text">
                  <b>{m.name}</b>
                  <small>{[m.maker, m.line].filter(Boolean).join(' · ') || 'from the tap or the shop'}</small>
                  <small>{m.mediumKind ?? m.kind}</small>
                  <small>{price(m, currency)}</small>
                </div>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

const price = (m: MaterialRow, currency: string) =>
  m.priceMinor !== null && m.containerUl
    ? `${formatMl(m.containerUl)} · ${formatMoney(m.priceMinor, currency)}`
    : 'no price yet'

function PaintCard({ m, currency }: { m: MaterialRow; currency: string }) {
  return (
    <li className="card" data-card>
      <Link href={`/paints/${m.id}`} prefetch={false}>
        <Drawdown hex={m.swatchHex!} body={m.body!} opacity={m.opacity!} sheen={m.sheen!} />
        <div className="card-text" style={{ paddingRight: 46 }}>
          <b>{m.name}</b>
          <small>{[m.maker, m.line].filter(Boolean).join(' · ')}</small>
          <small>
            {m.body} · {m.opacity}
            {m.pigments.length ? ` · ${m.pigments.join(' ')}` : ''}
          </small>
          <small>{m.onHandUl === null ? price(m, currency) : `${formatMl(m.onHandUl)} in containers`}</small>
          {m.avoid.length ? (
            <small style={{ color: 'var(--ink)' }}>
              <b style={{ display: 'inline' }}>Avoid as</b> {m.avoid.map((a) => a.role).join(', ')}
            </small>
          ) : null}
        </div>
      </Link>
      <TrayMark item={{ kind: 'paint', id: m.id, label: m.name, hex: m.swatchHex, sheen: m.sheen! }} />
    </li>
  )
}

/** A jar of medium: the more solids, the whiter it stands. */
function MediumJar({ solids, kind }: { solids: number; kind: string }) {
  const milk = kind === 'water' ? 0.08 : Math.min(1, 0.35 + solids)
  return (
    <svg viewBox="0 0 180 118" width="100%" height="118" role="img" aria-label={kind}>
      <rect width="180" height="118" fill="#ededed" />
      <rect x="0" y="56" width="180" height="10" fill="#161616" />
      <path d="M58 30h64v70q0 8-8 8H66q-8 0-8-8z" fill="#fff" fillOpacity={milk} stroke="#3a3a3a" strokeWidth="2" />
      <rect x="62" y="16" width="56" height="14" rx="3" fill="#c9c9c9" stroke="#3a3a3a" strokeWidth="2" />
    </svg>
  )
}
