'use client'

import Link from 'next/link'
import { formatMl, formatVolume } from '@/core/quantity/format'
import { Chip } from '@/ui/pictures/Drawdown'
import type { PricedBottle } from './pricedBottle'

/** What each bottle must give over all uses, and the way to the bench for what is short. */
export function NeedPanel({
  need,
  byId,
}: {
  need: { vesselId: string; needUl: number; shortUl: number }[]
  byId: Map<string, PricedBottle>
}) {
  if (need.length === 0)
    return (
      <section className="panel">
        <h2>What each bottle gives</h2>
        <p className="muted">Choose bottles for the cup; what each must give, and what is short, appears here.</p>
      </section>
    )
  return (
    <section className="panel" aria-label="What each bottle gives">
      <h2>What each bottle gives</h2>
      <table className="sheet">
        <thead>
          <tr>
            <th>Bottle</th>
            <th className="num">Needs</th>
            <th className="num">Holds</th>
            <th>Then</th>
          </tr>
        </thead>
        <tbody>
          {need.map(({ vesselId, needUl, shortUl }) => {
            const b = byId.get(vesselId)
            return (
              <tr key={vesselId}>
                <td>
                  <span className="chipline">
                    <Chip hex={b?.hex ?? null} sheen={b?.sheen ?? 'satin'} />
                    {b?.label ?? 'emptied since'}
                  </span>
                </td>
                <td className="num" title={formatVolume(needUl)}>
                  {formatMl(needUl)}
                </td>
                <td className="num">{formatMl(b?.ul ?? 0)}</td>
                <td>
                  {shortUl > 0 ? (
                    <Link href={`/bench?like=${vesselId}&ul=${shortUl}`} data-testid="short">
                      <b>Short by {formatMl(shortUl)}: mix it</b>
                    </Link>
                  ) : (
                    'enough'
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}
