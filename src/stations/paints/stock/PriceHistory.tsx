'use client'

import { Chart, LinearScale, LineElement, PointElement, TimeScale, Tooltip } from 'chart.js'
import { Scatter } from 'react-chartjs-2'
import { formatMoney } from '@/core/quantity/money'
import '@/ui/pictures/chartLook'

Chart.register(LinearScale, LineElement, PointElement, TimeScale, Tooltip)

/** Answers one question: when is it cheap? Price per ml over time; offers are filled, list prices are rings. */
export function PriceHistory({
  points,
  currency,
}: {
  points: readonly { on: string; perMl: number; offer: boolean }[]
  currency: string
}) {
  const at = (p: { on: string; perMl: number }) => ({ x: Date.parse(p.on), y: p.perMl / 100 })
  const sorted = [...points].sort((a, b) => (a.on < b.on ? -1 : 1))
  const dot = { pointRadius: 6, borderColor: '#2b2b2b', pointBorderWidth: 2 }
  return (
    <figure className="apart flush-top">
      <div className="chart" style={{ height: 190 }}>
        <Scatter
          aria-label="Price per ml over time"
          role="img"
          data={{
            datasets: [
              { label: 'list', data: sorted.filter((p) => !p.offer).map(at), ...dot, pointBackgroundColor: '#ffffff' },
              { label: 'offer', data: sorted.filter((p) => p.offer).map(at), ...dot, pointBackgroundColor: '#2b2b2b' },
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            plugins: { legend: { display: false } },
            scales: {
              x: {
                type: 'linear',
                ticks: {
                  callback: (v) => new Date(Number(v)).toISOString().slice(0, 7),
                  maxTicksLimit: 8,
                },
              },
              y: { beginAtZero: true, ticks: { callback: (v) => formatMoney(Number(v) * 100, currency) } },
            },
          }}
        />
      </div>
      <figcaption className="muted">
        When is it cheap? Price per ml: rings are list prices, filled dots are offers.
      </figcaption>
    </figure>
  )
}
