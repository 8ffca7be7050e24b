import { Button } from 'antd'
import type { Suggestion } from '@/core/tilt/suggest'
import styles from './rehearse.module.css'

const AT: Readonly<Record<string, readonly [number, number]>> = {
  'top left': [14, 14],
  'top right': [62, 14],
  'bottom right': [62, 62],
  'bottom left': [14, 62],
}

/** The best orders that were found: each as a small board with its corners numbered, and its reasons. */
export function Suggestions({ found, onLook }: { found: readonly Suggestion[]; onLook: (s: Suggestion) => void }) {
  if (found.length === 0) return <p className="muted">Nothing was tried. Let it search a little longer.</p>
  return (
    <div aria-label="Suggestions" role="group">
      {found.map((s) => (
        <div key={s.order.join()} className={styles.suggestion} data-testid="suggestion">
          <svg width="76" height="76" viewBox="0 0 76 76" role="img" aria-label={s.order.join(', then ')}>
            <rect x="3" y="3" width="70" height="70" fill="#fff" stroke="#1c1c1c" strokeWidth="2" />
            <polyline
              points={s.order.map((o) => AT[o]!.join()).join(' ')}
              fill="none"
              stroke="#8a8a8a"
              strokeWidth="3"
            />
            {s.order.map((o, i) => (
              <g key={o} transform={`translate(${AT[o]!.join()})`}>
                <circle r="10" fill="#1c1c1c" />
                <text textAnchor="middle" dominantBaseline="central" fill="#fff" fontSize="13" fontWeight="650">
                  {i + 1}
                </text>
              </g>
            ))}
          </svg>
          <div>
            <p className="flush">
              {s.reasons.join(', ')}; leaned by {s.tiltDeg}°.
            </p>
            <Button onClick={() => onLook(s)}>Look at it</Button>
          </div>
        </div>
      ))}
      <p className="muted fine">
        Tried on coarse cells; wanted film 0.35 – 0.8 mm, holds and leans are start values of Fika.
      </p>
    </div>
  )
}
