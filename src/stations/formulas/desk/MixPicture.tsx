import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import type { Prediction } from '@/core/colour/predict'
import { sheenFill } from '@/ui/pictures/SheenDefs'
import { SplitDisc } from '@/ui/pictures/SplitDisc'
import { labOfTarget, type Target } from '../target/target'
import type { Used } from './deskDraft'
import styles from './desk.module.css'

/** The mix on neutral grey: dry beside wet, the cups it comes from, over a drawdown card, and against the target. */
export function MixPicture({
  used,
  prediction,
  wetHex,
  target,
  over,
}: {
  used: readonly Used[]
  prediction: Prediction | undefined
  wetHex: string | undefined
  target: Target | undefined
  /** What it looks like over a ground of another colour. */
  over?: { label: string; ground: string; hex: string } | undefined
}) {
  const most = Math.max(...used.map((u) => u.parts))
  const width = Math.min(110, 560 / Math.max(1, used.length))
  return (
    <div className={`neutral ${styles.mixPicture}`}>
      <svg
        viewBox="0 0 600 330"
        width="100%"
        role="img"
        aria-label={prediction ? `The mix dries to about ${prediction.hex}` : 'No mix yet'}
      >
        {prediction ? (
          <>
            <rect width="410" height="210" fill={prediction.hex} />
            <rect width="410" height="210" fill={sheenFill(prediction.sheen)} />
            <rect x="410" width="190" height="210" fill={wetHex} />
            <rect x="410" width="190" height="210" fill={sheenFill('gloss')} opacity=".55" />
            <text x="12" y="200" className={styles.onSwatch}>
              dry
            </text>
            <text x="422" y="200" className={styles.onSwatch}>
              wet
            </text>
          </>
        ) : (
          <rect width="600" height="210" fill="none" stroke="#fff" strokeDasharray="8 8" />
        )}
        {used.map((u, i) => {
          const x = 300 - (used.length * width) / 2 + i * width
          const h = 10 + (70 * u.parts) / most
          const inset = (y: number) => 10 * (1 - y / 100)
          return (
            <g key={u.material.id}>
              <path d={`M${x + 6} 226h${width - 12}l-10 98h-${width - 32}z`} fill="#fff" />
              <path
                d={`M${x + 16 - inset(100 - h)} ${322 - h}L${x + 16} 322H${x + width - 16}L${x + width - 16 + inset(100 - h)} ${322 - h}z`}
                fill={u.material.hex!}
              />
              <path
                d={`M${x + 6} 226l10 98h${width - 32}l10-98`}
                fill="none"
                stroke="#1c1c1c"
                strokeWidth="2.5"
                strokeLinejoin="round"
              />
            </g>
          )
        })}
      </svg>
      {prediction ? (
        <div className={styles.mixBeside}>
          <figure>
            <svg
              viewBox="0 0 150 110"
              width="150"
              height="110"
              role="img"
              aria-label={`Over a card: contrast ratio ${prediction.contrastRatio.toFixed(2)}`}
            >
              <rect width="75" height="110" fill="#fbfbfb" />
              <rect x="75" width="75" height="110" fill="#161616" />
              <rect x="14" y="22" width="61" height="66" fill={prediction.overWhite} />
              <rect x="75" y="22" width="61" height="66" fill={prediction.overBlack} />
              <rect x="14" y="22" width="122" height="66" fill={sheenFill(prediction.sheen)} />
            </svg>
            <figcaption>over white and black, {hidingWords(prediction.contrastRatio)}</figcaption>
          </figure>
          {over ? (
            <figure>
              <svg
                viewBox="0 0 150 74"
                width="150"
                height="74"
                role="img"
                aria-label={`Over ${over.label}: ${over.hex}`}
              >
                <rect width="150" height="74" fill={over.ground} />
                <rect x="40" y="14" width="110" height="46" fill={over.hex} />
              </svg>
              <figcaption>over {over.label}, dry</figcaption>
            </figure>
          ) : null}
          {target ? <Against prediction={prediction} target={target} /> : null}
        </div>
      ) : null}
    </div>
  )
}

function Against({ prediction, target }: { prediction: Prediction; target: Target }) {
  const off = deltaE00(prediction.lab, labOfTarget(target))
  return (
    <figure>
      <SplitDisc left={target.hex} right={prediction.hex} labels={['Target', 'mix']} size={130} />
      <figcaption>
        <b>{differenceInWords(off)}</b> ΔE00 {off.toFixed(1)}
        <br />
        target left, mix right
      </figcaption>
    </figure>
  )
}

/** What a contrast ratio means at the table. Classes of ISO 6504-3; 0.9 a start value of Fika. */
export function hidingWords(ratio: number): string {
  const value = ratio.toFixed(2)
  if (ratio >= 0.98) return `hides (${value})`
  return ratio >= 0.9 ? `nearly hides (${value})` : `shows what lies beneath (${value})`
}
