import { formatMoney } from '@/core/quantity/money'
import { Spots } from '../charts/Spots'
import type { CostFacts } from './facts'
import styles from '../notebook.module.css'

/** What pieces cost by their size, and what was asked for them. */
export function Cost({ facts: { pieces, currency } }: { facts: CostFacts }) {
  const sum = (of: (p: CostFacts['pieces'][number]) => number) => pieces.reduce((s, p) => s + of(p), 0)
  const priced = pieces.filter((p) => p.priceMinor !== null)
  const perDm2 =
    sum((p) => p.totalMinor) /
    Math.max(
      1,
      sum((p) => p.dm2),
    )
  const unpriced = pieces.filter((p) => p.unpricedUl > 0).length
  const share = (of: (p: CostFacts['pieces'][number]) => number) =>
    `${Math.round(
      (100 * sum(of)) /
        Math.max(
          1,
          sum((p) => p.totalMinor),
        ),
    )} %`
  return (
    <section className="panel" aria-label="Cost by size">
      <p className={styles.said}>
        <b>
          A piece costs {formatMoney(perDm2, currency)} a dm² of its face here: {share((p) => p.surfaceMinor)} surface,{' '}
          {share((p) => p.paintMinor)} paint, {share((p) => p.finishMinor)} finish.
        </b>
      </p>
      <Spots
        label="Cost of each piece by the size of its face"
        x="face, dm²"
        y={`cost and price, ${currency}`}
        spots={[
          ...pieces.map((p) => ({
            x: p.dm2,
            y: p.totalMinor / 100,
            name: `${p.title}: cost ${formatMoney(p.totalMinor, currency)}`,
            href: `/wall/${p.id}`,
          })),
          ...priced.map((p) => ({
            x: p.dm2,
            y: p.priceMinor! / 100,
            name: `${p.title}: price ${formatMoney(p.priceMinor!, currency)}`,
            href: `/wall/${p.id}`,
            isRing: true,
          })),
        ]}
        lines={[{ points: lineTo(perDm2 / 100, Math.max(...pieces.map((p) => p.dm2))) }]}
      />
      <p className="muted">
        Full spots: what it cost, its share of waste included ({share((p) => p.wasteMinor)} of all); rings: what was
        asked or got. {priced.length === 0 ? 'No price is noted on a piece yet. ' : ''}
        {unpriced ? `${unpriced} pieces hold paint whose price nobody noted: they cost more than is said.` : ''}
      </p>
    </section>
  )
}

const lineTo = (slope: number, x: number) => [
  { x: 0, y: 0 },
  { x, y: slope * x },
]
