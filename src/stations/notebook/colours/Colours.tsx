import { Link } from '@/ui/frame/Link'
import { differenceInWords } from '@/core/colour/deltaE00'
import { formatMl } from '@/core/quantity/format'
import { Chip } from '@/ui/pictures/Drawdown'
import { OFF, type ColoursFacts } from './facts'
import styles from '../notebook.module.css'

/** Formulas as they were computed beside how they dried, and the paints a tint of which would help most. */
export function Colours({ facts: { formulas, wanting } }: { facts: ColoursFacts }) {
  const off = formulas.filter((f) => f.deltaE > OFF)
  return (
    <div className="wide-left">
      <section className="panel" aria-label="As computed">
        <p className={styles.said}>
          <b>
            {off.length === 0
              ? `All ${formulas.length} that were painted out came out as computed.`
              : `${off.length} of ${formulas.length} that were painted out are visibly off.`}
          </b>
        </p>
        <ul className={styles.swatches}>
          {formulas.map((f) => (
            <li key={`${f.id} ${f.version}`}>
              <Link href={`/formulas/${f.id}?version=${f.version}`}>
                <svg viewBox="0 0 100 56" role="img" aria-label={`${f.name}: computed beside dry`}>
                  <rect width="50" height="56" fill={f.computedHex} />
                  <rect x="50" width="50" height="56" fill={f.dryHex} />
                </svg>
                <b>{f.name}</b>
                <small className="muted">
                  ΔE {f.deltaE.toFixed(1)}, {differenceInWords(f.deltaE)}
                </small>
              </Link>
            </li>
          ))}
        </ul>
        <p className="muted">
          Left as computed from the paints as they are known now, right as it was painted out, dry.
        </p>
      </section>
      <section className="panel" aria-label="Wants a tint">
        <h2>Which paint wants a tint?</h2>
        {wanting.length === 0 ? <p className="muted">Every paint in use is known by more than its masstone.</p> : null}
        {wanting.map((w) => (
          <p key={w.id} className="chipline close flush-top">
            <Chip hex={w.hex} />
            <span>
              <Link href={`/paints/${w.id}`}>{w.name}</Link>{' '}
              <small className="muted">{formatMl(w.usedUl)} mixed of late, known by its masstone only</small>
            </span>
          </p>
        ))}
        <p className="muted fine">Paint each out in white once: every formula it is in becomes surer.</p>
      </section>
    </div>
  )
}
