import { Link } from '@/ui/frame/Link'
import { formatMl } from '@/core/quantity/format'
import { ago } from '@/ui/tables/dates'
import { Chip } from '@/ui/pictures/Drawdown'
import { PACE_DAYS, type PricedPaint } from '@/db/materials/prices'

/** What runs out and what stands idle: two short lists that say what to do. */
export function RunningOut({ paints, now }: { paints: readonly PricedPaint[]; now: Date }) {
  const low = paints.filter((p) => p.onHandUl !== null && p.lowUl !== null && p.onHandUl < p.lowUl)
  const idle = paints.filter((p) => p.idle)
  const daysLeft = (p: PricedPaint) =>
    p.pacedUl > 0 ? `lasts about ${Math.round((p.onHandUl! * PACE_DAYS) / p.pacedUl)} days at the pace of late` : ''
  return (
    <div className="two">
      <section className="panel" aria-label="Low">
        <h2>Low: buy some</h2>
        {low.length === 0 ? <p className="muted">Nothing is below its low line.</p> : null}
        {low.map((p) => (
          <Line key={p.id} p={p} words={`${formatMl(p.onHandUl!)} left, low below ${formatMl(p.lowUl!)}`}>
            {daysLeft(p)}
          </Line>
        ))}
      </section>
      <section className="panel" aria-label="Idle">
        <h2>Idle: use it up</h2>
        {idle.length === 0 ? <p className="muted">Everything you own has been used of late.</p> : null}
        {idle.map((p) => (
          <Line key={p.id} p={p} words={`${formatMl(p.onHandUl!)} on hand`}>
            {p.lastUsedAt ? `last mixed ${ago(p.lastUsedAt, now)}` : 'never mixed'}
          </Line>
        ))}
      </section>
    </div>
  )
}

function Line({ p, words, children }: { p: PricedPaint; words: string; children: string }) {
  return (
    <p className="chipline close flush-top">
      <Chip hex={p.hex} sheen={p.sheen} />
      <span>
        <Link href={`/paints/${p.id}?tab=stock`}>{p.name}</Link> {words}
        {children ? <small className="muted">, {children}</small> : null}
      </span>
    </p>
  )
}
