import { Link } from '@/ui/frame/Link'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { Chip } from '@/ui/pictures/Drawdown'
import { shortDay } from '@/ui/tables/dates'
import { PrintButton } from '../works/PrintButton'
import type { BuyList } from './buyList'

const SPANS = [
  ['week', 'this week'],
  ['all', 'all open plans'],
] as const

/** What to buy for open plans together: what is short, the cheapest purchase that covers it, and when the next offer is due. */
export function BuySheet({
  list,
  span,
  currency,
  zone,
}: {
  list: BuyList
  span: string
  currency: string
  zone: string
}) {
  const short = list.wanted.filter((w) => w.buyUl > 0)
  const uncounted = list.wanted.filter((w) => w.haveUl === null)
  const unpriced = short.filter((w) => !w.priced)
  return (
    <>
      <div className="head">
        <h1>
          To buy{' '}
          <span className="sub">
            {list.plans.length === 0 ? 'for no plan' : `for ${list.plans.map((p) => p.title).join(', ')}`}
          </span>
        </h1>
        {SPANS.map(([key, label]) => (
          <Link
            key={key}
            className={key === span ? 'go' : 'go second'}
            href={`/plan/buy?for=${key}`}
            aria-current={key === span}
          >
            {label}
          </Link>
        ))}
        <PrintButton />
      </div>
      {list.wanted.length === 0 && list.surfaces.length === 0 && list.unread.length === 0 ? (
        <EmptyState title="Nothing to buy">
          Every bottle of these plans holds enough, or nothing that is short names its paints.
        </EmptyState>
      ) : (
        <div className="wide-left">
          <section className="panel" aria-label="Cheapest purchase">
            <h2>The cheapest purchase that covers it</h2>
            {list.bought.length === 0 ? (
              <p className="muted">Nothing of what is counted and priced has to be bought.</p>
            ) : null}
            <table className="sheet">
              <tbody>
                {list.bought.map((b, i) => (
                  <tr key={i}>
                    <td className="num">
                      <b>{b.times * b.deal.count} ×</b>
                    </td>
                    <td>
                      {b.name}, {formatMl(b.deal.sizeUl)}
                    </td>
                    <td>
                      {b.deal.words}
                      {b.deal.supplier ? `, ${b.deal.supplier}` : ''}
                    </td>
                    <td className="num">{formatMoney(b.times * b.deal.priceMinor, currency)}</td>
                  </tr>
                ))}
                {list.surfaces.map((s) => (
                  <tr key={s.name}>
                    <td className="num">
                      <b>{s.needed - s.onHand} ×</b>
                    </td>
                    <td>{s.name}</td>
                    <td>{s.onHand} on the shelf</td>
                    <td className="num">
                      {s.eachMinor === null
                        ? 'no price yet'
                        : formatMoney(s.eachMinor * (s.needed - s.onHand), currency)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {list.bought.length ? (
              <p className="sum" data-testid="buy-total">
                {formatMoney(list.totalMinor, currency)} for paint and mediums
              </p>
            ) : null}
            {unpriced.length ? (
              <Notice kind="warning">
                No price is known of {unpriced.map((w) => `${w.name} (${formatMl(w.buyUl)})`).join(', ')}. Put it in
                under <Link href="/paints/prices">prices</Link>, and it is counted.
              </Notice>
            ) : null}
            {list.unread.length ? (
              <Notice>
                Not mixed yet, and read at the bench:{' '}
                {list.unread.map((u) => `${u.label}, ${formatMl(u.ul)}`).join('; ')}.
              </Notice>
            ) : null}
          </section>
          <section className="panel" aria-label="What the plans want">
            <h2>What the plans want</h2>
            <table className="sheet">
              <thead>
                <tr>
                  <th>Material</th>
                  <th className="num">Wants</th>
                  <th className="num">Holds</th>
                  <th>Next offer</th>
                </tr>
              </thead>
              <tbody>
                {list.wanted.map((w) => (
                  <tr key={w.id}>
                    <td>
                      <span className="chipline">
                        <Chip hex={w.hex} size={22} />
                        <Link href={`/paints/${w.id}`}>{w.name}</Link>
                      </span>
                    </td>
                    <td className="num">{formatMl(w.needUl)}</td>
                    <td className="num">{w.haveUl === null ? '?' : formatMl(w.haveUl)}</td>
                    <td>{w.nextOffer === null ? '' : `about ${shortDay(w.nextOffer, zone)}`}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            {uncounted.length ? (
              <p className="muted under">
                Nobody counts {uncounted.map((w) => w.name).join(', ')}: look whether that much is there.
              </p>
            ) : null}
          </section>
        </div>
      )}
    </>
  )
}
