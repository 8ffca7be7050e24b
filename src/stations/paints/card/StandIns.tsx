import { Link } from '@/ui/frame/Link'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { SplitDisc } from '@/ui/pictures/SplitDisc'

/** A formula that can be used in place of a paint. */
export interface StandIn {
  readonly href: string
  readonly name: string
  readonly text: string
  readonly hex: string
}

/** Rival formulas for a paint that is not made any more, the nearest first. */
export function StandIns({ paintHex, paintId, list }: { paintHex: string; paintId: string; list: readonly StandIn[] }) {
  const lab = hexToLab(paintHex)
  const ranked = list.map((s) => ({ ...s, off: deltaE00(hexToLab(s.hex), lab) })).sort((a, b) => a.off - b.off)
  return (
    <section className="panel below" aria-label="What stands in for it">
      <h2>What stands in for it</h2>
      {ranked.length === 0 ? (
        <p className="muted">No formula yet. Match its colour with what is on hand, and keep the best.</p>
      ) : null}
      <ul className="plain-cards">
        {ranked.map((s) => (
          <li key={s.href}>
            <Link href={s.href} className="chipline">
              <SplitDisc left={paintHex} right={s.hex} labels={['The paint', s.name]} size={48} />
              <span>
                <b>{s.name}</b>
                <small className="muted">{s.text}</small>
                <small className="muted">
                  {differenceInWords(s.off)}, ΔE00 {s.off.toFixed(1)}
                </small>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Link className="go second" href={`/formulas/match?of=${paintId}`}>
        Match its colour
      </Link>
    </section>
  )
}
