import { Link } from '@/ui/frame/Link'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { Chip, Drawdown } from '@/ui/pictures/Drawdown'
import { EmptyState } from '@/ui/frame/Notice'
import type { Body, Opacity, Sheen } from '@/core/paint/properties'
import styles from './named.module.css'

/** A named colour as its card shows it. */
export interface ColourCard {
  readonly id: string
  readonly name: string
  readonly hex: string
  readonly body: Body
  readonly opacity: Opacity
  readonly sheen: Sheen
  readonly text: string
  readonly versions: number
  /** ΔE00 between what was computed and what was painted out; null while it was not. */
  readonly miss: number | null
  readonly standsInFor: { readonly id: string; readonly name: string; readonly hex: string } | null
}

export interface BottledMix {
  readonly bottleId: string
  readonly label: string
  readonly hex: string | null
  readonly text: string
  readonly href: string
}

/** How far the real colour lies from the computed one. */
const PAINTED: Readonly<Record<ReturnType<typeof differenceInWords>, (miss: number) => string>> = {
  'cannot tell': () => 'painted out, as computed',
  'side by side only': (miss) => `painted out, a hair off (ΔE00 ${miss.toFixed(1)})`,
  plain: (miss) => `painted out, off by ΔE00 ${miss.toFixed(1)}`,
}

/** The studio's own colours, a drawdown card each, and formulas that so far only stand in bottles. */
export function NamedColours({ colours, bottled }: { colours: readonly ColourCard[]; bottled: readonly BottledMix[] }) {
  return (
    <>
      {colours.length === 0 ? (
        <EmptyState title="No colour is kept yet">
          Try a mix, or match a colour, and keep it under a name: then it repeats.
          <br />
          <Link className="go" href="/formulas/new">
            Try a mix
          </Link>
          <Link className="go second" href="/formulas/match">
            Match a colour
          </Link>
        </EmptyState>
      ) : (
        <ul className={`${styles.cards} ${styles.colourCards}`}>
          {colours.map((c) => (
            <li className="card" key={c.id}>
              <Link href={`/formulas/${c.id}`}>
                <Drawdown hex={c.hex} body={c.body} opacity={c.opacity} sheen={c.sheen} />
                <div className="card-text">
                  <b>{c.name}</b>
                  <small>{c.text}</small>
                  <small>
                    {c.miss === null ? 'not painted out yet' : PAINTED[differenceInWords(c.miss)](c.miss)}
                    {c.versions > 1 ? `, version ${c.versions}` : ''}
                  </small>
                  {c.standsInFor ? (
                    <span className={`chipline ${styles.standsIn}`}>
                      <Chip hex={c.standsInFor.hex} size={20} />
                      for {c.standsInFor.name}, ΔE00 {deltaE00(hexToLab(c.hex), hexToLab(c.standsInFor.hex)).toFixed(1)}
                    </span>
                  ) : null}
                </div>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {bottled.length ? (
        <section className="below" aria-label="Formulas in bottles">
          <h2>In bottles, without a name</h2>
          <ul className="plain-cards">
            {bottled.map((b) => (
              <li key={b.bottleId}>
                <Link href={b.href} className="chipline">
                  <Chip hex={b.hex} size={36} />
                  <span>
                    <b>{b.label}</b>
                    <small className="muted">{b.text}</small>
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  )
}
