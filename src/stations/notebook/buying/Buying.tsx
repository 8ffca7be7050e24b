import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { Bars } from '../charts/Bars'
import type { BuyingFacts } from './facts'
import styles from '../notebook.module.css'

const SHOWN = 18

/** Ways to buy by what a ml of mixed paint then costs, and where one turns cheaper than the next. */
export function Buying({ facts: { ways, turns, medium, currency } }: { facts: BuyingFacts }) {
  const [cheapest] = ways
  const dearer = ways.filter((w) => w.isDearer)
  return (
    <div className="wide-left">
      <section className="panel" aria-label="Ways to buy">
        <p className={styles.said}>
          <b>
            {cheapest
              ? `Cheapest mixed: ${cheapest.name}, ${formatMl(cheapest.sizeUl)}, at ${formatMoney(cheapest.perMixedMl, currency, 3)} a ml.`
              : ''}
            {dearer.length ? ` ${dearer.length} larger sizes are dearer than a small one of the same paint.` : ''}
          </b>
        </p>
        <Bars
          label="What a ml of mixed paint costs, by way to buy"
          unit={`${currency} a ml, mixed${medium ? ` with ${medium}` : ''}`}
          parts={['per ml mixed']}
          rows={ways.slice(0, SHOWN).map((w) => ({
            name: `${w.name}, ${formatMl(w.sizeUl)}${w.words === 'list price' ? '' : ' · offer'}`,
            parts: [w.perMixedMl / 100],
            href: `/paints/${w.paintId}?tab=stock`,
          }))}
        />
        <p className="muted">
          At the ratio it is really mixed here: its own, the house’s, or its body’s. The {SHOWN} cheapest of{' '}
          {ways.length}; all are in the numbers.
        </p>
      </section>
      <section className="panel" aria-label="Where it turns">
        <h2>Where does it turn?</h2>
        {turns.length === 0 ? (
          <p className="muted">Two paints with a price that were mixed of late are the least to compare.</p>
        ) : null}
        {turns.map((t) => (
          <p key={t.key} className="flush-top">
            <b>{t.first}</b> stays the cheaper mix until {t.second} costs{' '}
            <b>{formatMoney(t.paintPerMl, currency, 3)}</b> a ml; now {formatMoney(t.nowPerMl, currency, 3)}.
          </p>
        ))}
      </section>
    </div>
  )
}
