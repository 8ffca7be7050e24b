import { Link } from '@/ui/frame/Link'
import { formatMl } from '@/core/quantity/format'
import { Bars } from '../charts/Bars'
import type { RunsOutFacts } from './facts'
import styles from '../notebook.module.css'

const MOST_DAYS = 365
const SHOWN = 16

/** How long everything lasts, plans taken first, and whether the next offer comes before that. */
export function RunsOut({ facts: { materials, plans } }: { facts: RunsOutFacts }) {
  const short = materials.filter((m) => m.plannedUl > m.haveUl)
  const lasting = materials.filter((m) => m.days !== null).slice(0, SHOWN)
  const waits = materials.filter((m) => m.nextOffer && m.days !== null && m.days < MOST_DAYS)
  return (
    <div className="wide-left">
      <section className="panel" aria-label="How long it lasts">
        <p className={styles.said}>
          <b>
            {short.length
              ? `${plans} open plans want more than there is of ${short.length === 1 ? short[0]!.name : `${short.length} things`}.`
              : 'Everything the plans want is there.'}
          </b>
        </p>
        {lasting.length ? (
          <Bars
            label="Days each lasts at the pace of late"
            unit="days at the pace of late, plans taken first"
            to={MOST_DAYS}
            parts={['days']}
            rows={lasting.map((m) => ({
              name: m.name,
              parts: [Math.min(MOST_DAYS, m.days!)],
              href: `/paints/${m.id}?tab=stock`,
            }))}
          />
        ) : null}
        <p className="muted">Counted containers only. A bar at the edge lasts a year and more.</p>
      </section>
      <div className="grid">
        <section className="panel" aria-label="Short for plans">
          <h2>Short for plans</h2>
          {short.length === 0 ? <p className="muted">Nothing.</p> : null}
          {short.map((m) => (
            <p key={m.id} className="flush-top">
              <Link href={`/paints/${m.id}?tab=stock`}>{m.name}</Link>: {formatMl(m.plannedUl - m.haveUl)} more than is
              counted
            </p>
          ))}
          <Link className="go second" href="/plan/buy">
            Cheapest way to buy it all
          </Link>
        </section>
        <section className="panel" aria-label="Offers">
          <h2>Wait for the offer, or buy now?</h2>
          {waits.length === 0 ? (
            <p className="muted">No paint that runs out has offers with a rhythm yet: three are the least.</p>
          ) : null}
          {waits.map((m) => (
            <p key={m.id} className="flush-top">
              <Link href={`/paints/${m.id}?tab=stock`}>{m.name}</Link> lasts {m.days} days, its next offer comes about{' '}
              {m.nextOffer!.day}: <b>{m.nextOffer!.inDays <= m.days! ? 'wait' : 'buy now'}</b>
            </p>
          ))}
        </section>
      </div>
    </div>
  )
}
