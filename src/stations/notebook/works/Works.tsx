import { Link } from '@/ui/frame/Link'
import { RangeBars } from '../charts/RangeBars'
import { JUDGED, TRAITS, type WorksFacts } from './facts'
import styles from '../notebook.module.css'

/** What works here: means of each kind with what they lie between, drawn to all where there are few. */
export function Works({ facts: { by, what, pooled } }: { facts: WorksFacts }) {
  const judged = JUDGED[what]
  const [best, ...others] = pooled.groups
  const low = pooled.groups.at(-1)
  const most = Math.max(1, ...pooled.groups.map((g) => g.high))
  return (
    <>
      <nav className="places" aria-label="Told apart by">
        {Object.entries(TRAITS).map(([key, name]) => (
          <Link
            key={key}
            href={`/notebook/works?by=${key}&what=${what}`}
            aria-current={key === by ? 'page' : undefined}
          >
            {name}
          </Link>
        ))}
      </nav>
      <nav className="places" aria-label="Judged by">
        {Object.entries(JUDGED).map(([key, { name }]) => (
          <Link
            key={key}
            href={`/notebook/works?by=${by}&what=${key}`}
            aria-current={key === what ? 'page' : undefined}
          >
            {name}
          </Link>
        ))}
      </nav>
      <section className="panel" aria-label="What works">
        <p className={styles.said}>
          <b>
            {best && low
              ? says(best, others.length ? low : undefined)
              : 'Not enough yet: three of a kind are the least.'}
          </b>
        </p>
        {pooled.groups.length ? (
          <RangeBars
            label={`${judged.name} ${TRAITS[by]}`}
            unit={`${judged.name}; all ${pooled.n}: ${pooled.mean.toFixed(1)}`}
            from={what === 'rating' ? 1 : 0}
            to={judged.to ?? Math.ceil(most)}
            ranges={pooled.groups.map((g) => ({ name: `${g.key} · ${g.n}`, low: g.low, value: g.mean, high: g.high }))}
          />
        ) : null}
        <p className="muted">
          Dark: the mean; light: between these it lies nine times in ten. Kinds with few pieces are drawn towards all.
          {pooled.tooFew.length
            ? ` Too few to say anything: ${pooled.tooFew.map((g) => `${g.key} (${g.n})`).join(', ')}.`
            : ''}
        </p>
      </section>
    </>
  )
}

type Told = WorksFacts['pooled']['groups'][number]

function says(best: Told, low: Told | undefined): string {
  if (best.above > 0.9) return `${best.key} is better than the rest, as far as ${best.n} pieces tell.`
  if (low && low.above < 0.1) return `${low.key} is below the rest, as far as ${low.n} pieces tell.`
  return 'No kind stands out for sure yet: what they lie between overlaps.'
}
