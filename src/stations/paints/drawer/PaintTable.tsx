'use client'

import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { Link } from '@/ui/frame/Link'
import { useEffect, useRef, useState } from 'react'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { Chip } from '@/ui/pictures/Drawdown'
import { useChunks } from '@/ui/hooks/useChunks'
import { useBrowserLayoutEffect } from '@/ui/hooks/useBrowserLayoutEffect'
import { rowsAddress, type PaintFilter } from './filter'
import type { DrawerRow } from './find'
import drawerStyles from './drawer.module.css'
import paintsStyles from '../paints.module.css'

const LINE = 49
/** The drawer as a plain table, of which only the lines in sight are drawn. */
export function PaintTable(props: {
  filter: PaintFilter
  first: readonly DrawerRow[]
  total: number
  currency: string
}) {
  const { rows, want } = useChunks(rowsAddress(props.filter), props.first, props.total)
  const box = useRef<HTMLTableSectionElement>(null)
  const [top, setTop] = useState(0)
  useBrowserLayoutEffect(() => {
    if (box.current) setTop(box.current.getBoundingClientRect().top + window.scrollY)
  }, [])
  const lines = useWindowVirtualizer({
    count: props.total,
    estimateSize: () => LINE,
    overscan: 12,
    scrollMargin: top,
    initialRect: { width: 1000, height: 1400 },
  })
  const shown = lines.getVirtualItems()
  const [from, to] = [shown[0]?.index ?? 0, shown.at(-1)?.index ?? 0]
  useEffect(() => want(from, to), [want, from, to])
  const before = (shown[0]?.start ?? top) - top
  const after = lines.getTotalSize() - before - shown.length * LINE
  return (
    <table className={`sheet ${drawerStyles.paintTable}`} aria-rowcount={props.total + 1}>
      <thead>
        <tr>
          <th>Name</th>
          <th>Maker</th>
          <th>Pigments</th>
          <th>Body</th>
          <th>Opacity</th>
          <th>Sheen</th>
          <th className="num">Size and price</th>
          <th className="num">Per ml</th>
          <th className="num">Left</th>
        </tr>
      </thead>
      <tbody ref={box}>
        <tr aria-hidden="true" style={{ height: Math.max(0, before) }} />
        {shown.map((line) => {
          const m = rows[line.index]
          return (
            <tr key={line.key} style={{ height: LINE }} aria-rowindex={line.index + 2}>
              {m ? <Cells m={m} currency={props.currency} /> : <td colSpan={9} />}
            </tr>
          )
        })}
        <tr aria-hidden="true" style={{ height: Math.max(0, after) }} />
      </tbody>
    </table>
  )
}

function Cells({ m, currency }: { m: DrawerRow; currency: string }) {
  return (
    <>
      <td>
        <Link href={`/paints/${m.id}`} className="chipline">
          <Chip hex={m.swatchHex} sheen={m.sheen ?? 'satin'} />
          <span className={paintsStyles.cut}>{m.name}</span>
        </Link>
      </td>
      <td>
        <span className={paintsStyles.cut}>{[m.maker, m.line].filter(Boolean).join(' · ')}</span>
      </td>
      <td>
        <span className={paintsStyles.cut}>{m.pigments.join(' ')}</span>
      </td>
      <td>{m.body}</td>
      <td>{m.opacity}</td>
      <td>{m.sheen}</td>
      <td className="num">
        {[
          m.containerUl ? formatMl(m.containerUl) : '',
          m.priceMinor === null ? '' : formatMoney(m.priceMinor, currency),
        ]
          .filter(Boolean)
          .join(' · ')}
      </td>
      <td className="num">{m.perMl === null ? '' : formatMoney(m.perMl, currency, 3)}</td>
      <td className="num">
        {m.onHandUl === null ? (
          ''
        ) : m.low ? (
          <b title="below its low line">{formatMl(m.onHandUl)}</b>
        ) : (
          formatMl(m.onHandUl)
        )}
      </td>
    </>
  )
}
