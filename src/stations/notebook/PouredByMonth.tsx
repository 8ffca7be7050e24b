'use client'

import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js'
import { Bar } from 'react-chartjs-2'
import '@/ui/pictures/chartLook'
import type { MonthPoured } from '@/db/ledger'

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip)

const name = (month: string) =>
  new Date(`${month}-15T00:00:00Z`).toLocaleDateString('en-GB', { month: 'short', year: '2-digit', timeZone: 'UTC' })

/** Litres poured (dark) and thrown away (hatched light) by month; the same numbers stand below as text. */
export function PouredByMonth({ months }: { months: readonly MonthPoured[] }) {
  return (
    <>
      <div className="chart" style={{ height: 190 }}>
        <Bar
          aria-label="Poured and thrown away by month"
          data={{
            labels: months.map((m) => name(m.month)),
            datasets: [
              {
                label: 'poured, ml',
                data: months.map((m) => m.pouredUl / 1000),
                backgroundColor: '#2b2b2b',
                maxBarThickness: 40,
              },
              {
                label: 'thrown away, ml',
                data: months.map((m) => m.wastedUl / 1000),
                backgroundColor: '#b5b5b5',
                maxBarThickness: 40,
              },
            ],
          }}
          options={{
            maintainAspectRatio: false,
            animation: false,
            scales: { x: { grid: { display: false } }, y: { title: { display: true, text: 'ml' } } },
          }}
        />
      </div>
      <p className="muted after">
        Dark: poured. Light: thrown away.{' '}
        {months
          .map((m) => `${name(m.month)} ${Math.round(m.pouredUl / 1000)} and ${Math.round(m.wastedUl / 1000)} ml`)
          .join('; ')}
        .
      </p>
    </>
  )
}
