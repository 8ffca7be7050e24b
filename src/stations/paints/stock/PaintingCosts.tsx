'use client'

import { readTyped } from '@/core/quantity/typed'
import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { paintingCost, perMl } from '@/core/purchase/cost'
import { breakEven } from '@/core/purchase/league'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import type { UnitSystem } from '@/core/quantity/parse'
import { parseSize } from '@/core/quantity/size'
import { pourUl } from '@/core/surface/coverage'
import { Chip } from '@/ui/pictures/Drawdown'
import type { PricedMedium } from '@/db/materials/prices'
import { ratioText, type PaintEntry } from '@/db/materials/leagueEntries'
import stockStyles from './stock.module.css'
import paintsStyles from '../paints.module.css'

interface Line {
  /** Which way to buy the paint, see `keyOf`. */
  readonly way: string
  readonly medium: string
  readonly water: string
}

/** A way to buy a paint, by paint, size and terms. */
const keyOf = (e: PaintEntry) => `${e.paintId} ${e.sizeUl} ${e.words}`
const lineOf = (e: PaintEntry): Line => ({ way: keyOf(e), medium: text(e.mix.medium), water: text(e.mix.water) })
const text = (parts: number) => String(Math.round(100 * parts) / 100)

/** What a painting of one size costs with several ways to buy and to mix paint, and where two cost the same. */
export function PaintingCosts({
  entries,
  mediums,
  currency,
  units,
}: {
  entries: readonly PaintEntry[]
  mediums: readonly PricedMedium[]
  currency: string
  units: UnitSystem
}) {
  // The one used most of late comes first: it is what the question is about.
  const priced = [...entries].sort((a, b) => b.paint.pacedUl - a.paint.pacedUl)
  const [size, setSize] = useState(units === 'us' ? '16 x 20 in' : '40 x 50 cm')
  const [mediumId, setMediumId] = useState(mediums[0]?.id)
  const [lines, setLines] = useState<Line[]>(() =>
    priced[0] ? [lineOf(priced[0]), { ...lineOf(priced[0]), medium: '7', water: '0' }] : [],
  )
  if (priced.length === 0 || mediums.length === 0)
    return (
      <section className="panel">
        <h2>Cost per painting</h2>
        <p className="muted">Give a paint and a medium a size and a price, and Fika compares what paintings cost.</p>
      </section>
    )
  const medium = mediums.find((m) => m.id === mediumId) ?? mediums[0]!
  const { value: volumeUl, sentence: problem } = readTyped(() =>
    pourUl({ shape: 'rectangle', ...parseSize(size, units), edgeMm: 0, count: 1 }, { kind: 'rule-of-28' }),
  )
  const read = (l: Line) => {
    const entry = priced.find((e) => keyOf(e) === l.way) ?? priced[0]!
    return {
      entry,
      perMl: perMl(entry.eachMinor, entry.sizeUl),
      medium: Math.max(0, parseNumber(l.medium) ?? 0),
      water: Math.max(0, parseNumber(l.water) ?? 0),
    }
  }
  const set = (i: number, change: Partial<Line>) => setLines(lines.map((l, k) => (k === i ? { ...l, ...change } : l)))
  const costs = lines.map((l) => {
    const r = read(l)
    return volumeUl === undefined ? 0 : paintingCost(volumeUl / 1000, r.perMl, medium.perMl, r.medium, r.water)
  })
  const most = Math.max(...costs, 1)
  return (
    <section className="panel" aria-label="Cost per painting">
      <div className="head close">
        <h2 className="flush push">Cost per painting</h2>
        <Input
          aria-label="Size of the painting"
          value={size}
          onChange={(e) => setSize(e.target.value)}
          className="w150"
        />
        <span className="muted">
          {volumeUl === undefined ? problem : `${formatMl(volumeUl)} by the rule of 28, with`}
        </span>
        <Select
          aria-label="Medium of the painting"
          value={medium.id}
          onChange={setMediumId}
          options={mediums.map((m) => ({ value: m.id, label: m.name }))}
          className="w240"
        />
      </div>
      {lines.map((l, i) => {
        const r = read(l)
        return (
          <div className="row wrap" key={i} data-testid="painting-cost">
            <Chip hex={r.entry.paint.hex} sheen={r.entry.paint.sheen} />
            <Select
              aria-label={`Paint ${i + 1}`}
              value={l.way}
              showSearch
              optionFilterProp="label"
              onChange={(way) => set(i, lineOf(priced.find((e) => keyOf(e) === way)!))}
              options={priced.map((e) => ({
                value: keyOf(e),
                label: `${e.paint.name} ${formatMl(e.sizeUl)}, ${e.words} · ${e.paint.maker}`,
              }))}
              className="w280"
            />
            <span>1 :</span>
            <Input
              aria-label={`Medium in ratio ${i + 1}`}
              value={l.medium}
              className="w70"
              onChange={(e) => set(i, { medium: e.target.value })}
            />
            <span>: water</span>
            <Input
              aria-label={`Water in ratio ${i + 1}`}
              value={l.water}
              className="w70"
              onChange={(e) => set(i, { water: e.target.value })}
            />
            <b style={{ width: 90, textAlign: 'right' }} className="num">
              {formatMoney(costs[i]!, currency)}
            </b>
            <span className="grow min120">
              <span className={stockStyles.barLine} style={{ width: `${(100 * costs[i]!) / most}%` }} />
            </span>
            <Button aria-label={`Leave out line ${i + 1}`} onClick={() => setLines(lines.filter((_, k) => k !== i))}>
              ×
            </Button>
          </div>
        )
      })}
      <Button
        onClick={() => {
          setLines([...lines, lines.at(-1) ?? lineOf(priced[0]!)])
        }}
      >
        And another
      </Button>
      <BreakEvens lines={lines.map(read)} mediumPerMl={medium.perMl} mediumName={medium.name} currency={currency} />
    </section>
  )
}

/** For each two lines that differ: the price of the second paint, and of medium, at which both cost the same. */
function BreakEvens({
  lines,
  mediumPerMl,
  mediumName,
  currency,
}: {
  lines: readonly { entry: PaintEntry; perMl: number; medium: number; water: number }[]
  mediumPerMl: number
  mediumName: string
  currency: string
}) {
  const pairs = lines.flatMap((a, i) =>
    lines
      .slice(i + 1)
      .filter((b) => b.entry !== a.entry || b.medium !== a.medium || b.water !== a.water)
      .map((b) => [a, b] as const),
  )
  const money = (n: number) => formatMoney(n, currency, 3)
  return (
    <ul className={`${paintsStyles.saidList} under`}>
      {pairs.map(([a, b], i) => {
        const even = breakEven(a, b, mediumPerMl)
        const said = [
          even.paintPerMl === null
            ? undefined
            : `where ${b.entry.paint.name} costs ${money(even.paintPerMl)} a ml (it costs ${money(b.perMl)})`,
          even.mediumPerMl === null
            ? undefined
            : `where medium costs ${money(even.mediumPerMl)} a ml (${mediumName} costs ${money(mediumPerMl)})`,
        ].filter(Boolean)
        return (
          <li key={i}>
            <b>
              {a.entry.paint.name} {ratioText(a)} against {b.entry.paint.name} {ratioText(b)}:
            </b>{' '}
            {said.length ? `they cost the same ${said.join(', or ')}.` : 'one of the two is always cheaper.'}
          </li>
        )
      })}
    </ul>
  )
}
