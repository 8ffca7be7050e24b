'use client'

import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import { GREY } from '@/ui/frame/theme'
import { axisName } from '@/ui/pictures/axisNames'
import '@/ui/pictures/chartLook'
import { useOpens } from './useOpens'

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip)

/** One bar, in parts that stand one after another. */
export interface BarRow {
  readonly name: string
  readonly parts: readonly number[]
  readonly href?: string
}

/** Shades of the parts of a bar, the first the darkest; no hue, since the paint is the only colour. */
export const SHADES = [GREY.ink, '#6f6f6f', '#a3a3a3', '#c9c9c9', '#e2e2e2'] as const
const ROW_PX = 36
const REST_PX = 64

/** Bars across, each in parts; a tap on one opens what lies behind it. */
export function Bars({
  rows,
  parts,
  unit,
  label,
  to,
}: {
  rows: readonly BarRow[]
  parts: readonly string[]
  unit: string
  label: string
  to?: number
}) {
  const onClick = useOpens(rows)
  return (
    <div className="chart" style={{ height: REST_PX + ROW_PX * rows.length }}>
      <Bar
        aria-label={label}
        role="img"
        data={{
          labels: rows.map((r) => r.name),
          datasets: parts.map((name, i) => ({
            label: name,
            data: rows.map((r) => r.parts[i] ?? 0),
            backgroundColor: SHADES[i % SHADES.length],
            maxBarThickness: 26,
          })),
        }}
        options={{
          indexAxis: 'y',
          maintainAspectRatio: false,
          animation: false,
          onClick,
          scales: {
            x: { stacked: true, max: to, title: { display: true, text: unit }, grid: { color: GREY.wash } },
            y: {
              stacked: true,
              grid: { display: false },
              ticks: { autoSkip: false, color: GREY.ink, callback: axisName },
            },
          },
        }}
      />
    </div>
  )
}

/** What the shades stand for. */
export function Legend({ parts }: { parts: readonly string[] }) {
  return (
    <p className="muted after">
      {parts.map((name, i) => (
        <span key={name} style={{ marginRight: 16, whiteSpace: 'nowrap' }}>
          <svg width="14" height="14" aria-hidden="true" style={{ verticalAlign: -2, marginRight: 6 }}>
            <rect width="14" height="14" fill={SHADES[i % SHADES.length]} stroke={GREY.faint} />
          </svg>
          {name}
        </span>
      ))}
    </p>
  )
}
