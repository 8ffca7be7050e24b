import { Link } from '@/ui/frame/Link'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { pairMix } from '@/core/colour/mud'
import { asDeepAs, depthText, MOST_TIMES } from '@/core/colour/strength'
import { FLAKES } from '@/core/paint/sheenOfMix'
import { opticsOf } from '@/core/colour/packOptics'
import { OPACITIES } from '@/core/paint/properties'
import { formatMoney } from '@/core/quantity/money'
import type { ReadOptics } from '@/db/materials/optics'
import { Chip } from '@/ui/pictures/Drawdown'
import { sheenFill } from '@/ui/pictures/SheenDefs'
import type { DrawerPaint } from '@/db/materials/drawer'
import type { PairNoteRow } from '@/db/materials/read'
import { PAIR_WORDS } from '@/core/colour/pairVerdicts'
import styles from './compare.module.css'

interface Props {
  readonly paints: readonly DrawerPaint[]
  readonly notes: readonly PairNoteRow[]
  readonly currency: string
  readonly optics: readonly ReadOptics[]
}

/** Paints side by side on neutral grey: swatches that touch, how far apart they are, what they share and become. */
export function SideBySide({ paints, notes, currency, optics }: Props) {
  return (
    <>
      <section className="neutral" aria-label="Swatches">
        <svg
          viewBox={`0 0 ${paints.length * 100} 170`}
          width="100%"
          height="250"
          preserveAspectRatio="none"
          role="img"
          aria-label={paints.map((p) => p.name).join(', ')}
        >
          {paints.map((p, i) => (
            <g key={p.id} transform={`translate(${i * 100} 0)`}>
              <rect width="100.5" height="170" fill={p.swatchHex} />
              <rect width="100.5" height="170" fill={sheenFill(p.sheen)} />
            </g>
          ))}
        </svg>
        <div
          className={styles.neutralNames}
          style={{ gridTemplateColumns: `repeat(${paints.length}, minmax(0, 1fr))` }}
        >
          {paints.map((p) => (
            <Link key={p.id} href={`/paints/${p.id}`}>
              <b>{p.name}</b>
              <small>{p.maker}</small>
              <small>{p.pigments.join(' ')}</small>
              <small>{p.perMl === null ? 'no price' : `${formatMoney(p.perMl, currency, 3)} a ml`}</small>
            </Link>
          ))}
        </div>
      </section>
      <div className="wide-left below">
        <Matrix paints={paints} notes={notes} read={optics} />
        <div className="grid">
          <Balance paints={paints} />
          <Strength paints={paints} read={optics} />
          <Shared paints={paints} />
        </div>
      </div>
    </>
  )
}

/** Every pair: the maker's own word first, then how far apart, then what they turn into where they mix. */
function Matrix({
  paints,
  notes,
  read,
}: {
  paints: readonly DrawerPaint[]
  notes: readonly PairNoteRow[]
  read: readonly ReadOptics[]
}) {
  const optics = new Map(
    paints.map((p) => [
      p.id,
      {
        optics: opticsOf(read.find((r) => r.id === p.id) ?? { optics: null, hex: p.swatchHex, strength: p.strength }),
        lab: p.lab,
      },
    ]),
  )
  const said = (a: string, b: string) => notes.find((n) => (n.aId === a && n.bId === b) || (n.aId === b && n.bId === a))
  return (
    <section className="panel" aria-label="Pairs">
      <h2>Every pair</h2>
      <table className={`sheet ${styles.matrix}`}>
        <thead>
          <tr>
            <th />
            {paints.map((p) => (
              <th key={p.id}>{p.name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {paints.map((a, i) => (
            <tr key={a.id}>
              <th scope="row">{a.name}</th>
              {paints.map((b, k) => {
                if (k <= i) return <td key={b.id} className={styles.none} />
                const word = said(a.id, b.id)
                const far = deltaE00(a.lab, b.lab)
                const mixed = pairMix(
                  { ...optics.get(a.id)!, sheen: a.sheen },
                  { ...optics.get(b.id)!, sheen: b.sheen },
                )
                return (
                  <td key={b.id}>
                    {word ? (
                      <b title={word.note}>
                        {PAIR_WORDS[word.verdict].replace(/ (with|beside)$/, '')}
                        {word.note ? `: ${word.note}` : ''}
                      </b>
                    ) : null}
                    <span className="chipline">
                      <Chip hex={mixed.hex} sheen="matte" size={24} />
                      {mixed.muddy && word?.verdict !== 'together' && word?.verdict !== 'surprising' ? (
                        <b>mud: keep apart</b>
                      ) : (
                        <span>{Math.round(100 * Math.min(1, mixed.chromaKept))} % colour kept</span>
                      )}
                    </span>
                    <small className="muted">
                      ΔE00 {far.toFixed(1)}, {differenceInWords(far)}
                    </small>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="muted">
        The chip is what equal parts turn into, computed from what is known of both. Your own word on a pair stands
        before it.
      </p>
    </section>
  )
}

/** Transparent to opaque: a palette balances both. */
function Balance({ paints }: { paints: readonly DrawerPaint[] }) {
  return (
    <section className="panel" aria-label="Balance">
      <h2>Transparent to opaque</h2>
      {OPACITIES.map((o) => {
        const of = paints.filter((p) => p.opacity === o)
        return (
          <div className="row" key={o}>
            <span className="w150">{o}</span>
            {of.map((p) => (
              <Chip key={p.id} hex={p.swatchHex} sheen={p.sheen} />
            ))}
            {of.length === 0 ? <span className="muted">none</span> : null}
          </div>
        )
      })}
    </section>
  )
}

/** How many ml of each colour white as deep as one of the strongest; flakes are left out. */
function Strength({ paints, read }: { paints: readonly DrawerPaint[]; read: readonly ReadOptics[] }) {
  const rows = read.filter((r) => !FLAKES.includes(r.sheen)).map((r) => ({ id: r.id, optics: opticsOf(r) }))
  const deepest = rows.reduce<(typeof rows)[number] | undefined>(
    (best, r) => (best && (asDeepAs(r.optics, best.optics) ?? Infinity) >= 1 ? best : r),
    undefined,
  )
  if (!deepest || rows.length < 2) return null
  const nameOf = (id: string) => paints.find((p) => p.id === id)!.name
  return (
    <section className="panel" aria-label="Strength">
      <h2>As deep as 1 ml of {nameOf(deepest.id)} in white</h2>
      <dl className="facts">
        {rows
          .filter((r) => r !== deepest)
          .map((r) => {
            const ml = asDeepAs(r.optics, deepest.optics)
            return (
              <div key={r.id} className="contents">
                <dt>{nameOf(r.id)}</dt>
                <dd>{ml === undefined || ml > MOST_TIMES ? 'never: too pale' : depthText(ml)}</dd>
              </div>
            )
          })}
      </dl>
    </section>
  )
}

/** Pigments that stand in more than one of them. */
function Shared({ paints }: { paints: readonly DrawerPaint[] }) {
  const names = [...new Set(paints.flatMap((p) => p.pigments))]
  const shared = names
    .map((n) => ({ n, of: paints.filter((p) => p.pigments.includes(n)) }))
    .filter((s) => s.of.length > 1)
  return (
    <section className="panel" aria-label="Pigments shared">
      <h2>Pigments shared</h2>
      {shared.length === 0 ? <p className="muted">No pigment stands in two of them.</p> : null}
      {shared.map(({ n, of }) => (
        <p key={n} className="close flush-top">
          <b>{n}</b> in {of.map((p) => p.name).join(', ')}
        </p>
      ))}
    </section>
  )
}
