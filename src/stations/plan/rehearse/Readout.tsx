import type { PooledGroup } from '@/core/learning/pooled'
import { SIDES } from '@/core/tilt/film'
import { formatMl } from '@/core/quantity/format'
import { Chip } from '@/ui/pictures/Drawdown'
import type { Shown } from '@/workers/rehearsal'
import { Level } from './Level'
import type { RehearsedSource } from './rehearsed'
import styles from './rehearse.module.css'

const percent = (share: number) => `${Math.round(share * 100)} %`
const width = (share: number) => `${Math.min(100, share * 100)}%`

/** What is read while it runs: the film, how much of each colour stays, what is bare, and where the rest went. */
export function Readout({
  shown,
  colours,
  faceMm2,
  weighed,
}: {
  shown: Shown
  colours: readonly RehearsedSource[]
  faceMm2: number
  /** What weighed pieces of this technique keep here. */
  weighed: PooledGroup | undefined
}) {
  const { readings: r, lean } = shown
  const pouredUl = r.meanMm * faceMm2 + r.ranOffUl
  return (
    <>
      <div className={styles.now}>
        <Level x={lean.x} y={lean.y} />
        <div>
          <div className={styles.big} data-testid="film">
            {r.meanMm.toFixed(2)} mm
          </div>
          <div>film left, wet</div>
          <div className="muted">
            {r.seconds.toFixed(1)} s · leans {Math.hypot(lean.x, lean.y).toFixed(0)}°
            {shown.running && shown.pace < 0.9 ? ` · ${shown.pace.toFixed(1)} × as fast as it pours` : ''}
          </div>
        </div>
      </div>
      <ul className={styles.bars} aria-label="What stays of each colour">
        {colours.map((c, i) => (
          <li key={c.key} className={styles.bar} data-testid="kept" data-share={r.kept[i]!.toFixed(4)}>
            <b>
              <Chip hex={c.hex} sheen={c.sheen} size={16} /> {c.label}
            </b>
            <span>{percent(r.kept[i]!)} stays</span>
            <div className={styles.track} title={`Seen on ${percent(r.seen[i]!)} of the face`}>
              <i style={{ width: width(r.kept[i]!), background: c.hex }} />
            </div>
          </li>
        ))}
        {r.keepers.map((k, i) => (
          <li key={`keeper ${i}`} className={styles.bar}>
            <b>Keeper {i + 1}</b>
            <span>
              {k.at ? `${percent(Math.min(1, k.share))} there, ${k.stretch.toFixed(1)} × as long as wide` : 'gone'}
            </span>
            <div className={styles.track}>
              <i style={{ width: width(k.share), background: '#1c1c1c' }} />
            </div>
          </li>
        ))}
      </ul>
      <dl className="facts">
        <dt>Covered</dt>
        <dd className="num">
          <b>{percent(Math.floor(r.covered * 1000) / 1000)}</b>
        </dd>
        {r.bareCorners.length ? (
          <>
            <dt>Bare yet</dt>
            <dd>{r.bareCorners.join(', ')}</dd>
          </>
        ) : null}
        <dt>Ran off</dt>
        <dd className="num">{formatMl(r.ranOffUl)}</dd>
        {SIDES.map((side, i) =>
          r.offUl[i]! > 500 ? (
            <span key={side} className="contents">
              <dt className="muted">over the {side}</dt>
              <dd className="num muted">{formatMl(r.offUl[i]!)}</dd>
            </span>
          ) : null,
        )}
        {weighed ? (
          <>
            <dt>As weighed here</dt>
            <dd className="num" data-testid="weighed">
              {percent(weighed.mean)} of {weighed.n}: {((weighed.mean * pouredUl) / faceMm2).toFixed(2)} mm
            </dd>
          </>
        ) : null}
        <dt>Edges wet</dt>
        <dd className="num">
          {percent(r.edgeWet)}, about {formatMl(r.edgeUl)}
        </dd>
      </dl>
    </>
  )
}
