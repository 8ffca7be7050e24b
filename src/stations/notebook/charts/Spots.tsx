'use client'

import { Chart, LinearScale, LineElement, PointElement, ScatterController, Tooltip } from 'chart.js'
import { Scatter } from 'react-chartjs-2'
import { GREY } from '@/ui/frame/theme'
import '@/ui/pictures/chartLook'
import { useOpens } from './useOpens'

Chart.register(LinearScale, LineElement, PointElement, ScatterController, Tooltip)

export interface Spot {
  readonly x: number
  readonly y: number
  readonly name: string
  readonly href?: string
  /** Drawn as a ring instead of a full spot. */
  readonly isRing?: boolean
  /** A paint's own colour; ink where there is none. */
  readonly hex?: string | null
}

/** Spots by two numbers, with a line through them where there is one to say; a tap opens what lies behind a spot. */
export function Spots({
  spots,
  lines = [],
  x,
  y,
  label,
  max,
  height = 380,
}: {
  spots: readonly Spot[]
  lines?: readonly { readonly points: readonly { x: number; y: number }[]; readonly isDashed?: boolean }[]
  x: string
  y: string
  label: string
  max?: { readonly x?: number; readonly y?: number }
  height?: number
}) {
  const open = useOpens(spots)
  return (
    <div className="chart" style={{ height }}>
      <Scatter
        aria-label={label}
        role="img"
        data={{
          datasets: [
            {
              data: spots.map((s) => ({ x: s.x, y: s.y })),
              pointRadius: 8,
              pointHoverRadius: 10,
              pointBackgroundColor: spots.map((s) => (s.isRing ? GREY.paper : (s.hex ?? GREY.soft))),
              pointBorderColor: GREY.ink,
              pointBorderWidth: spots.map((s) => (s.isRing ? 3 : 1)),
            },
            ...lines.map((l) => ({
              data: [...l.points],
              showLine: true,
              pointRadius: 0,
              borderColor: GREY.faint,
              borderWidth: 2,
              borderDash: l.isDashed ? [6, 6] : [],
            })),
          ],
        }}
        options={{
          maintainAspectRatio: false,
          animation: false,
          // Lines lie behind the spots and lead nowhere.
          onClick: (event, hit) =>
            open(
              event,
              hit.filter((h) => h.datasetIndex === 0),
            ),
          plugins: {
            tooltip: {
              filter: ({ datasetIndex }) => datasetIndex === 0,
              callbacks: { label: ({ dataIndex }) => spots[dataIndex]!.name },
            },
          },
          scales: {
            x: { min: 0, max: max?.x, title: { display: true, text: x }, grid: { color: GREY.wash } },
            y: { min: 0, max: max?.y, title: { display: true, text: y }, grid: { color: GREY.wash } },
          },
        }}
      />
    </div>
  )
}
