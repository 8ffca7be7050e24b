import { forecast } from '@/core/consistency/dilution'
import { perPercent } from '@/core/consistency/pairs'
import { Chip } from '@/ui/pictures/Drawdown'
import type { ConsistencyData } from './queries'
import styles from './consistency.module.css'

const [WIDTH, HEIGHT] = [210, 84]
/** The picture's range: water 0–15 ml for 100 ml, level time 0.2–10 s. */
const MOST_W = 0.15
const [LOW, HIGH] = [Math.log(0.2), Math.log(10)]
const x = (w: number) => (WIDTH * Math.min(w, MOST_W)) / MOST_W
const y = (lnT: number) => HEIGHT - (HEIGHT * (Math.min(HIGH, Math.max(LOW, lnT)) - LOW)) / (HIGH - LOW)

/** All that was learned of how water thins: a small curve for each paint and medium, with the points behind it. */
export function PairCurves({ pairs }: { pairs: ConsistencyData['learned'] }) {
  return (
    <ul className={styles.pairCurves}>
      {pairs.map((p) => (
        <li key={p.id}>
          <span className="chipline">
            <Chip hex={p.hex} />
            <span>
              <b>{p.paint}</b>
              <small>{p.medium}</small>
            </span>
          </span>
          <svg
            viewBox={`-4 -4 ${WIDTH + 8} ${HEIGHT + 8}`}
            width="100%"
            role="img"
            aria-label={`Curve of ${p.paint} with ${p.medium}`}
          >
            {[1, 2, 4].map((s) => (
              <path key={s} d={`M0 ${y(Math.log(s))}h${WIDTH}`} stroke="#555" />
            ))}
            <path d={`M0 0V${HEIGHT}H${WIDTH}`} fill="none" stroke="#9a9a9a" />
            <path
              d={Array.from(
                { length: 16 },
                (_, i) => `${i ? 'L' : 'M'}${x(i / 100)} ${y(forecast(p.curve, i / 100).lnT)}`,
              ).join('')}
              fill="none"
              stroke="#f2f2f2"
              strokeWidth="2.5"
            />
            {p.points.map((q, i) => (
              <circle key={i} cx={x(q.w)} cy={y(q.lnT)} r="3.5" fill="#f2f2f2" />
            ))}
          </svg>
          <small>
            1 ml in 100 ml: {Math.round(100 * (1 - perPercent(p.curve)))} % quicker · {p.points.length}{' '}
            {p.points.length === 1 ? 'reading' : 'readings'} of {p.mixes} {p.mixes === 1 ? 'mix' : 'mixes'}
          </small>
        </li>
      ))}
    </ul>
  )
}
