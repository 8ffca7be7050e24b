'use client'

import type { useScale } from '@/ui/hooks/useScale'
import styles from './hand.module.css'

/** Pours of the stand-in: how fast, g/s, and how exact a hand is. */
const RATE = 28

/** The scale in one line: what it shows, whether it stands; the stand-in can be poured upon. */
export function ScaleLine({ scale, wanted }: { scale: ReturnType<typeof useScale>; wanted?: number | undefined }) {
  return (
    <div
      className={styles.scaleLine}
      data-testid="scale"
      data-here={scale.here ? '' : undefined}
      data-grams={scale.grams ?? ''}
      data-settled={scale.settledG ?? ''}
    >
      {scale.here ? (
        <>
          <b>{scale.overload ? 'Too heavy' : scale.grams === null ? '…' : `${scale.grams.toFixed(1)} g`}</b>
          <small>
            {scale.name}, {scale.overload ? 'take something off' : scale.settledG === null ? 'moving' : 'steady'}
          </small>
          {scale.standIn ? (
            <span className={styles.scaleHands}>
              <button type="button" className="plain" onClick={() => void scale.ask({ do: 'place', grams: 32 })}>
                Cup on
              </button>
              <button
                type="button"
                className="plain"
                disabled={!wanted || wanted <= 0}
                onClick={() =>
                  void scale.ask({
                    do: 'pour',
                    grams: Math.max(0.1, (wanted ?? 0) * (0.99 + 0.02 * Math.random())),
                    rate: RATE,
                  })
                }
              >
                Pour
              </button>
              <button type="button" className="plain" onClick={() => void scale.ask({ do: 'stop' })}>
                Stop
              </button>
            </span>
          ) : null}
        </>
      ) : (
        <small>{scale.why}</small>
      )}
    </div>
  )
}
