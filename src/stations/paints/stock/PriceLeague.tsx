'use client'

import { Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { league } from '@/core/purchase/league'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { Chip } from '@/ui/pictures/Drawdown'
import { ratioText, type PaintEntry } from '@/db/materials/leagueEntries'
import type { PricedMedium } from '@/db/materials/prices'
import styles from './stock.module.css'

const SHOWN = 40

/** Every size and offer per ml of paint and per ml of mixed paint, cheapest first; a bigger one that is dearer is marked. */
export function PriceLeague({
  entries,
  mediums,
  currency,
}: {
  entries: readonly PaintEntry[]
  mediums: readonly PricedMedium[]
  currency: string
}) {
  const [mediumId, setMediumId] = useState(mediums[0]?.id)
  const [all, setAll] = useState(false)
  const medium = mediums.find((m) => m.id === mediumId)
  const ranked = league(entries, (e) => ({ ...e.mix, mediumPerMl: medium?.perMl ?? 0 }))
  const dearest = ranked.at(-1)?.perMixedMl ?? 1
  return (
    <section className="panel" aria-label="Price league">
      <div className="head close">
        <h2 className="flush push">Price league</h2>
        <span className="muted">mixed as the house does, with</span>
        <Select
          aria-label="Medium of the league"
          value={mediumId}
          onChange={setMediumId}
          options={mediums.map((m) => ({ value: m.id, label: m.name }))}
          className="w240"
        />
      </div>
      <table className="sheet">
        <thead>
          <tr>
            <th>Paint</th>
            <th className="num">Size</th>
            <th className="num">One costs</th>
            <th>How</th>
            <th className="num">Per ml</th>
            <th className="num">Paint : medium : water</th>
            <th className="num">Per ml mixed</th>
            <th className="w150">
              <span className="visually-hidden">Drawn</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {(all ? ranked : ranked.slice(0, SHOWN)).map((r) => (
            <tr key={`${r.entry.paintId} ${r.entry.sizeUl} ${r.entry.words}`}>
              <td>
                <Link href={`/paints/${r.entry.paintId}?tab=stock`} className="chipline">
                  <Chip hex={r.entry.paint.hex} sheen={r.entry.paint.sheen} />
                  <span>
                    {r.entry.paint.name} <small className="muted">{r.entry.paint.maker}</small>
                  </span>
                </Link>
              </td>
              <td className="num">{formatMl(r.entry.sizeUl)}</td>
              <td className="num">{formatMoney(r.entry.eachMinor, currency)}</td>
              <td>
                {r.entry.words}
                {r.dearerThan ? (
                  <b className="block">Dearer per ml than {formatMl(r.dearerThan.sizeUl)}: buy the small one</b>
                ) : null}
              </td>
              <td className="num">{formatMoney(r.perMl, currency, 3)}</td>
              <td className="num">
                <span title={r.entry.mix.from}>{ratioText(r.entry.mix)}</span>
              </td>
              <td className="num">
                <b>{formatMoney(r.perMixedMl, currency, 3)}</b>
              </td>
              <td>
                <div className={styles.barLine} style={{ width: `${Math.max(1, (100 * r.perMixedMl) / dearest)}%` }} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {ranked.length > SHOWN && !all ? (
        <button type="button" className="plain" onClick={() => setAll(true)}>
          Show all {ranked.length}
        </button>
      ) : null}
    </section>
  )
}
