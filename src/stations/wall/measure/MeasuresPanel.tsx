import { CELL_SIZES } from '@/core/photo/cells'
import type { PhotoMeasures } from '@/core/photo/measurePhoto'
import { VALUE_STEPS } from '@/core/photo/composition'
import { TOUR_SPOTS } from '@/core/run/events'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import styles from './measure.module.css'

/** A colour that was poured, as it is named beside what is seen of it. */
export interface PouredShare {
  readonly hex: string
  readonly label: string
  readonly share: number
}

/** Less lacing than this may be nothing but the ends of bands, m on a dm². Start value of Fika. */
const LEAST_LACING = 0.15

const percent = (v: number) => `${Math.round(100 * v)} %`

/** What a photo of a piece shows: shares seen beside poured, quiet areas, cells, lacing, composition; with reasons where not. */
export function MeasuresPanel({ measures: m, poured }: { measures: PhotoMeasures; poured: readonly PouredShare[] }) {
  const { not } = m.trust
  const all = Object.keys(not).length >= 5
  if (all) return <Notice kind="warning">{not.colours}</Notice>
  const dm2 = m.faceMm2 / 10_000
  const sizes = m.cells.map((c) => c.diameterMm).sort((a, b) => a - b)
  const quiet = m.quiet.reduce((a, b) => a + b, 0)
  const most = Math.max(...m.colours.map((c) => c.seen), ...poured.map((p) => p.share))
  return (
    <div className={styles.measures}>
      <section aria-label="Colours seen">
        <h3>Colours: seen, and poured</h3>
        <div className={styles.shares}>
          {m.colours.map((c) => {
            const was = poured.find((p) => p.hex === c.hex)
            return (
              <Row
                key={c.hex}
                hex={c.hex}
                label={was?.label ?? c.hex}
                seen={c.seen}
                poured={was?.share ?? 0}
                most={most}
              />
            )
          })}
        </div>
        <p className="muted fine">Whole bar: seen on the face. Dashed: its share of what was poured.</p>
      </section>
      <section aria-label="Cells">
        <h3>Cells</h3>
        {not.cells ? (
          <p className="muted">{not.cells}</p>
        ) : sizes.length === 0 ? (
          <p>None.</p>
        ) : (
          <>
            <p data-testid="cells">
              <b>{sizes.length}</b> {sizes.length === 1 ? 'cell' : 'cells'}, {(sizes.length / dm2).toFixed(1)} on a dm²;
              the middle one is {sizes[sizes.length >> 1]!.toFixed(1)} mm wide.
            </p>
            <div className={styles.sizes}>
              {CELL_SIZES.map((s, i) => {
                const to = CELL_SIZES[i + 1]?.fromMm ?? Infinity
                const n = sizes.filter((d) => d >= s.fromMm && d < to).length
                const px = Math.min(46, 8 + 2.2 * s.fromMm)
                return (
                  <span key={s.name}>
                    <i style={{ width: px, height: px }} />
                    <b>{n}</b>
                    <small className="muted">{s.name}</small>
                  </span>
                )
              })}
            </div>
          </>
        )}
      </section>
      <section aria-label="Lacing">
        <h3>Lacing</h3>
        {not.lacing ? (
          <p className="muted">{not.lacing}</p>
        ) : m.lacing.lengthMm / 1000 / dm2 < LEAST_LACING ? (
          <p>None to speak of.</p>
        ) : (
          <p data-testid="lacing">
            <b>{(m.lacing.lengthMm / 1000 / dm2).toFixed(2)} m</b> on a dm², {m.lacing.widthMm.toFixed(1)} mm wide.
          </p>
        )}
      </section>
      <section aria-label="Quiet areas">
        <h3>Quiet areas</h3>
        <p>
          <b>{percent(quiet)}</b> of the face
          {quiet > 0.02
            ? `, most of it ${poured.find((p) => p.hex === m.colours[m.quiet.indexOf(Math.max(...m.quiet))]?.hex)?.label ?? 'one colour'}.`
            : '.'}
        </p>
      </section>
      <section aria-label="Composition">
        <h3>Light, dark, and where contrast lies</h3>
        <div className="row wrap">
          <div className={`${styles.values} grow`} role="img" aria-label={valuesInWords(m.composition.values)}>
            {m.composition.values.map((v, i) => {
              const grey = Math.round((255 * (i + 0.5)) / VALUE_STEPS)
              return (
                <i
                  key={i}
                  style={{
                    flex: Math.max(0.001, v),
                    background: `rgb(${grey},${grey},${grey})`,
                    color: i < 2 ? '#fff' : '#111',
                  }}
                >
                  {v >= 0.08 ? percent(v) : ''}
                </i>
              )
            })}
          </div>
          <div className={styles.spots} role="img" aria-label={contrastInWords(m.composition.contrast)}>
            {m.composition.contrast.map((c, i) => (
              <i key={i} style={{ '--c': Math.min(1, Math.sqrt(c / 0.3)) } as React.CSSProperties} />
            ))}
          </div>
        </div>
      </section>
      {m.lookHere.length ? (
        <p className="muted fine">
          {m.lookHere.length} {m.lookHere.length === 1 ? 'place' : 'places'} to look at are marked on the picture: they
          may be mud, spots or nothing at all, and count as nothing until you say so at a look.
        </p>
      ) : null}
    </div>
  )
}

function Row({
  hex,
  label,
  seen,
  poured,
  most,
}: {
  hex: string
  label: string
  seen: number
  poured: number
  most: number
}) {
  return (
    <>
      <Chip hex={hex} size={26} />
      <span>{label}</span>
      <span className={styles.pair} aria-hidden="true">
        <i style={{ width: `${(100 * seen) / most}%`, background: hex }} />
        <i style={{ width: `${(100 * poured) / most}%` }} />
      </span>
      <span className="num" data-testid="share" data-seen={seen} data-poured={poured}>
        <b>{percent(seen)}</b>
        <small className="muted"> of {percent(poured)}</small>
      </span>
    </>
  )
}

const STEPS = ['darkest', 'dark', 'middle', 'light', 'lightest']
const valuesInWords = (values: readonly number[]) =>
  `Values: ${values.map((v, i) => `${percent(v)} ${STEPS[i]}`).join(', ')}`
const contrastInWords = (contrast: readonly number[]) =>
  `Contrast: ${contrast.map((c, i) => `${percent(c)} ${TOUR_SPOTS[i]}`).join(', ')}`
