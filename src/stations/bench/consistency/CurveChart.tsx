'use client'

import { Chart, Legend, LinearScale, LineElement, LogarithmicScale, PointElement, Filler, Tooltip } from 'chart.js'
import { Line } from 'react-chartjs-2'
import '@/ui/pictures/chartLook'
import { forecast, type Belief, type CurvePoint } from '@/core/consistency/dilution'

Chart.register(LinearScale, LogarithmicScale, LineElement, PointElement, Filler, Tooltip, Legend)

const STEPS = 40
/** Of a normal distribution, 80 % lie within this many standard deviations. */
const EIGHTY = 1.2816
const TICKS = [0.05, 0.1, 0.2, 0.3, 0.5, 0.7, 1, 1.5, 2, 3, 4, 6, 8, 12, 16, 24]

/** The dilution curve of a mix: the points behind it, where it lies with 80 %, and the band it should be in. */
export function CurveChart({
  belief,
  points,
  others,
  w,
  bandS,
}: {
  belief: Belief
  points: readonly CurvePoint[]
  others: readonly CurvePoint[]
  w: number
  bandS: readonly [number, number]
}) {
  const most = Math.max(0.12, w * 1.4, ...[...points, ...others].map((p) => p.w * 1.1))
  const xs = Array.from({ length: STEPS + 1 }, (_, i) => (most * i) / STEPS)
  const line = (z: number) =>
    xs.map((x) => {
      const { lnT, sd } = forecast(belief, x)
      return { x: 100 * x, y: Math.exp(lnT + z * sd) }
    })
  const dots = (list: readonly CurvePoint[]) => list.map((p) => ({ x: 100 * p.w, y: Math.exp(p.lnT) }))
  const flat = (y: number) => [
    { x: 0, y },
    { x: 100 * most, y },
  ]
  const ink = '#f2f2f2'
  return (
    <div className="chart" style={{ height: 260 }}>
      <Line
        aria-label="Level time against water"
        role="img"
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          color: ink,
          plugins: {
            legend: {
              labels: { color: ink, boxWidth: 18, usePointStyle: true, filter: (i) => !i.text.startsWith('_') },
            },
            tooltip: { enabled: false },
          },
          scales: {
            x: {
              type: 'linear',
              min: 0,
              max: 100 * most,
              title: { display: true, text: 'water, ml per 100 ml of the mix', color: ink },
              ticks: { color: ink },
              grid: { color: '#444' },
            },
            y: {
              type: 'logarithmic',
              title: { display: true, text: 'level time, s', color: ink },
              grid: { color: '#444' },
              ticks: { color: ink, callback: String },
              afterBuildTicks: (axis) => {
                axis.ticks = TICKS.filter((t) => t >= axis.min && t <= axis.max).map((value) => ({ value }))
              },
            },
          },
        }}
        data={{
          datasets: [
            {
              label: '_least wanted',
              data: flat(Math.max(bandS[0], 0.05)),
              borderColor: '#9a9a9a',
              borderDash: [4, 4],
              borderWidth: 1.5,
              pointRadius: 0,
              fill: false,
            },
            {
              label: 'wanted',
              data: flat(bandS[1]),
              borderColor: '#9a9a9a',
              borderDash: [4, 4],
              borderWidth: 1.5,
              pointRadius: 0,
              fill: '-1',
              backgroundColor: 'rgb(255 255 255 / 10%)',
            },
            { label: '_low', data: line(-EIGHTY), borderWidth: 0, pointRadius: 0, fill: false },
            {
              label: '80 %',
              data: line(EIGHTY),
              borderWidth: 0,
              pointRadius: 0,
              fill: '-1',
              backgroundColor: 'rgb(255 255 255 / 22%)',
              borderColor: 'transparent',
            },
            { label: 'expected', data: line(0), borderColor: ink, borderWidth: 2.5, pointRadius: 0, fill: false },
            {
              label: 'other mixes of this pair',
              data: dots(others),
              showLine: false,
              pointStyle: 'crossRot',
              pointRadius: 6,
              borderColor: '#bdbdbd',
              pointBorderWidth: 2,
            },
            {
              label: 'this bottle',
              data: dots(points),
              showLine: false,
              pointRadius: 6,
              pointBackgroundColor: ink,
              borderColor: ink,
            },
          ],
        }}
      />
    </div>
  )
}
