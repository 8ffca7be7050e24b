'use client'

import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import { GREY } from '@/ui/frame/theme'
import { axisName } from '@/ui/pictures/axisNames'
import '@/ui/pictures/chartLook'
import { useOpens } from './useOpens'

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip)

/** A value with the bounds it lies between. */
export interface Range {
  readonly name: string
  readonly low: number
  readonly value: number
  readonly high: number
  readonly href?: string
}

const ROW_PX = 44
const REST_PX = 70
/** How wide the mark of the value is, as a share of the axis. */
const MARK = 0.006

/**
 * Ranges as bars across, each with a mark where its value is; a line where all of them are measured against.
 * @param against drawn as a line across all, with its word on the axis
 */
export function RangeBars({
  ranges,
  from,
  to,
  unit,
  against,
  label,
}: {
  ranges: readonly Range[]
  from: number
  to: number
  unit: string
  against?: number
  label: string
}) {
  const onClick = useOpens(ranges)
  const mark = MARK * (to - from)
  const data = (of: (r: Range) => [number, number]) => ranges.map((r) => of(r))
  return (
    <div className="chart" style={{ height: REST_PX + ROW_PX * ranges.length }}>
      <Bar
        aria-label={label}
        role="img"
        data={{
          labels: ranges.map((r) => r.name),
          datasets: [
            {
              data: data((r) => [r.value - mark, r.value + mark]),
              backgroundColor: GREY.ink,
              barThickness: 26,
              grouped: false,
              label: 'middle',
            },
            {
              data: data((r) => [r.low, r.high]),
              backgroundColor: GREY.line,
              barThickness: 16,
              grouped: false,
              label: 'between',
            },
          ],
        }}
        options={{
          indexAxis: 'y',
          maintainAspectRatio: false,
          animation: false,
          onClick,
          plugins: {
            tooltip: {
              callbacks: {
                label: ({ dataIndex }) => {
                  const r = ranges[dataIndex]!
                  return `${r.value.toFixed(2)}, between ${r.low.toFixed(2)} and ${r.high.toFixed(2)}`
                },
              },
            },
          },
          scales: {
            x: {
              min: from,
              max: to,
              title: { display: true, text: unit },
              grid: { color: ({ tick }) => (against !== undefined && tick.value === against ? GREY.ink : GREY.wash) },
            },
            y: { grid: { display: false }, ticks: { autoSkip: false, color: GREY.ink, callback: axisName } },
          },
        }}
      />
    </div>
  )
}
