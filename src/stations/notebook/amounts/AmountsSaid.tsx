import { COVERAGE_SOURCE } from '@/core/surface/coverage'
import { RangeBars } from '../charts/RangeBars'
import type { AmountsFacts } from './facts'
import styles from '../notebook.module.css'

const percent = (x: number) => `${Math.round(100 * x)} %`

/** What techniques really took beside the rule of 28, and what stayed on. */
export function AmountsSaid({ facts: { techniques, pieces } }: { facts: AmountsFacts }) {
  const [most] = [...techniques].sort((a, b) => Math.abs(Math.log(b.middle)) - Math.abs(Math.log(a.middle)))
  const kept = techniques.filter((t) => t.kept)
  const top = Math.max(1.5, ...techniques.map((t) => t.enough))
  return (
    <>
      <section className="panel" aria-label="Amount by technique">
        <p className={styles.said}>
          <b>
            {most
              ? `${most.name} takes ${most.middle.toFixed(2)} times the rule of 28 here; pour ${most.enough.toFixed(2)} times it to have enough nine times in ten.`
              : ''}
          </b>
        </p>
        <RangeBars
          label="Paint needed beside the rule of 28, by technique"
          unit="times the rule of 28"
          from={0}
          to={Math.ceil(2 * top) / 2}
          against={1}
          ranges={techniques.map((t) => ({
            name: `${t.name} · ${t.ofTechnique}`,
            href: `/wall?technique=${t.key}`,
            low: (t.middle * t.middle) / t.enough,
            value: t.middle,
            high: t.enough,
          }))}
        />
        <p className="muted">
          From {pieces} pieces; dark: in the middle, the right end: enough nine times in ten. A piece that came out
          short counts as more than was poured, one of plenty as less. Rule of 28: {COVERAGE_SOURCE}. Plans offer this
          as the school “As learned here”.
        </p>
      </section>
      {kept.length ? (
        <section className="panel" aria-label="Share that stays on">
          <h2>What stays on, where it was weighed</h2>
          <RangeBars
            label="Share of the pour that stays on, by technique"
            unit="stays on, %"
            from={0}
            to={100}
            ranges={kept.map((t) => ({
              name: `${t.name} · ${t.kept!.n}`,
              href: `/wall?technique=${t.key}`,
              low: 100 * Math.max(0, t.kept!.low),
              value: 100 * t.kept!.mean,
              high: 100 * Math.min(1, t.kept!.high),
            }))}
          />
          <p className="muted">
            {kept.map((t) => `${t.name} ${percent(t.kept!.mean)}`).join(', ')}. A run without a scale begins from the
            same pieces, and the rehearsal says it beside its own.
          </p>
        </section>
      ) : null}
    </>
  )
}
