import { costOf } from '@/core/purchase/cost'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import type { LotPortion } from '@/db/bottles/read'
import { day } from './dates'
import { Chip } from '@/ui/pictures/Drawdown'

/** What something holds, down to each bought container, with what it cost. */
export function TraceTable({ portions, currency, zone }: { portions: LotPortion[]; currency: string; zone: string }) {
  const total = portions.reduce((s, p) => s + p.ul, 0)
  const cost = costOf(portions)
  return (
    <table className="sheet" aria-label="What is in it">
      <thead>
        <tr>
          <th>Paint or medium</th>
          <th>From</th>
          <th className="num">Share</th>
          <th className="num">ml</th>
          <th className="num">Cost</th>
        </tr>
      </thead>
      <tbody>
        {portions.map((p) => (
          <tr key={p.lotId} data-testid="lot" data-ul={p.ul}>
            <td>
              <span className="chipline">
                <Chip hex={p.hex ?? (p.kind === 'paint' ? null : '#efefea')} />
                <span>
                  {p.material}
                  {p.maker ? <small className="muted"> · {p.maker}</small> : null}
                </span>
              </span>
            </td>
            <td>
              {p.tracked ? `${p.lotLabel}, ${day(p.openedAt, zone)}` : 'untracked supply'}
              {p.lotFlag ? <b className="block">Bad container: {p.lotFlag}</b> : null}
            </td>
            <td className="num">{((100 * p.ul) / total).toFixed(1)} %</td>
            <td className="num">{(p.ul / 1000).toFixed(3)}</td>
            <td className="num">{p.priceMinor === null ? 'no price' : formatMoney(costOf([p]).minor, currency)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={3}>
            <b>In all</b> · {formatMl(total)} · {formatFlOz(total)}
          </td>
          <td className="num">
            <b>{(total / 1000).toFixed(3)}</b>
          </td>
          <td className="num" data-testid="cost">
            <b>{formatMoney(cost.minor, currency)}</b>
          </td>
        </tr>
      </tfoot>
    </table>
  )
}
