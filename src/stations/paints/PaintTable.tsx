'use client'

import { Table } from 'antd'
import Link from 'next/link'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { perMl } from '@/core/purchase/cost'
import { Chip } from '@/ui/Drawdown'
import type { MaterialRow } from './queries'

const byText = (pick: (m: MaterialRow) => string) => (a: MaterialRow, b: MaterialRow) => pick(a).localeCompare(pick(b))
const number = { align: 'right' as const, className: 'num' }

/** The drawer as a plain table; every column sorts. */
export function PaintTable({ rows, currency }: { rows: MaterialRow[]; currency: string }) {
  const cost = (m: MaterialRow) =>
    m.priceMinor !== null && m.containerUl ? perMl(m.priceMinor, m.containerUl) : undefined
  return (
    <Table<MaterialRow>
      rowKey="id"
      dataSource={rows}
      pagination={{ pageSize: 50, hideOnSinglePage: true, showSizeChanger: false }}
      scroll={{ x: 'max-content' }}
      columns={[
        {
          title: 'Name',
          sorter: byText((m) => m.name),
          render: (_, m) => (
            <Link href={`/paints/${m.id}`} className="chipline">
              <Chip hex={m.swatchHex} sheen={m.sheen ?? 'satin'} />
              {m.name}
            </Link>
          ),
        },
        { title: 'Maker', dataIndex: 'maker', sorter: byText((m) => m.maker) },
        { title: 'Line', dataIndex: 'line', sorter: byText((m) => m.line) },
        { title: 'Pigments', render: (_, m) => m.pigments.join(' '), sorter: byText((m) => m.pigments.join(' ')) },
        { title: 'Body', render: (_, m) => m.body ?? m.mediumKind ?? '', sorter: byText((m) => m.body ?? '') },
        { title: 'Opacity', dataIndex: 'opacity', sorter: byText((m) => m.opacity ?? '') },
        { title: 'Sheen', dataIndex: 'sheen', sorter: byText((m) => m.sheen ?? '') },
        {
          title: 'g/ml',
          ...number,
          render: (_, m) => m.densityGPerMl.toFixed(2),
          sorter: (a, b) => a.densityGPerMl - b.densityGPerMl,
        },
        {
          title: 'Size',
          ...number,
          render: (_, m) => (m.containerUl ? formatMl(m.containerUl) : ''),
          sorter: (a, b) => (a.containerUl ?? 0) - (b.containerUl ?? 0),
        },
        {
          title: 'Price',
          ...number,
          render: (_, m) => (m.priceMinor === null ? '' : formatMoney(m.priceMinor, currency)),
          sorter: (a, b) => (a.priceMinor ?? 0) - (b.priceMinor ?? 0),
        },
        {
          title: 'Per ml',
          ...number,
          render: (_, m) => (cost(m) === undefined ? '' : formatMoney(cost(m)!, currency, 3)),
          sorter: (a, b) => (cost(a) ?? 0) - (cost(b) ?? 0),
        },
      ]}
    />
  )
}
