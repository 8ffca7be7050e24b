import { formatMl } from '@/core/quantity/format'
import { WASTED, type PLACES } from '@/db/learning/paintGoes'
import { Bars, Legend } from '../charts/Bars'
import { PouredByMonth } from '../PouredByMonth'
import { cameIn, type GoesFacts } from './facts'
import styles from '../notebook.module.css'

const PAINTS_SHOWN = 12
/** Places as they are drawn: told apart where it matters, together where not. */
const DRAWN = [
  { name: 'on pieces', of: ['on pieces'] },
  { name: 'in bottles and jars', of: ['in bottles', 'in jars'] },
  { name: 'in stock', of: ['in stock'] },
  { name: 'wasted: run-off, walls, spills, thrown away', of: WASTED },
  { name: 'evaporated or taken out', of: ['into the air', 'taken out'] },
] as const satisfies readonly { name: string; of: readonly (typeof PLACES)[number][] }[]

/** Where everything that came in is by now; the parts sum to it. */
export function Goes({ facts: { materials, months } }: { facts: GoesFacts }) {
  const solid = materials.filter((m) => m.kind !== 'water')
  const sum = (of: readonly (typeof PLACES)[number][], list = solid) =>
    list.reduce((s, m) => s + of.reduce((x, p) => x + (m.places[p] ?? 0), 0), 0)
  const all = solid.reduce((s, m) => s + cameIn(m), 0)
  const share = (of: readonly (typeof PLACES)[number][]) => Math.round((100 * sum(of)) / Math.max(1, all))
  const paints = materials.filter((m) => m.kind === 'paint' && cameIn(m) > 0).slice(0, PAINTS_SHOWN)
  return (
    <>
      <section className="panel" aria-label="Where it is">
        <p className={styles.said}>
          <b>
            Of {formatMl(all)} of paint and medium, {share(DRAWN[0].of)} % hang on pieces and {share(DRAWN[3].of)} %
            were wasted.
          </b>
        </p>
        <Bars
          label="Where paint and medium went"
          unit="ml"
          parts={DRAWN.map((d) => d.name)}
          rows={[
            {
              name: 'paints',
              parts: DRAWN.map(
                (d) =>
                  sum(
                    d.of,
                    materials.filter((m) => m.kind === 'paint'),
                  ) / 1000,
              ),
            },
            {
              name: 'mediums',
              parts: DRAWN.map(
                (d) =>
                  sum(
                    d.of,
                    materials.filter((m) => m.kind === 'medium'),
                  ) / 1000,
              ),
            },
          ]}
        />
        <Legend parts={DRAWN.map((d) => d.name)} />
      </section>
      <section className="panel" aria-label="By paint">
        <h2>Paint by paint</h2>
        <Bars
          label="Where each paint went"
          unit="ml"
          parts={DRAWN.map((d) => d.name)}
          rows={paints.map((m) => ({
            name: m.name,
            href: `/paints/${m.id}`,
            parts: DRAWN.map((d) => d.of.reduce((s, p) => s + (m.places[p] ?? 0), 0) / 1000),
          }))}
        />
        <p className="muted">
          From the lines of the ledger: the parts of every bar sum to what came in. Supplies nobody counts come in as
          they are used.
        </p>
      </section>
      {months.length ? (
        <section className="panel">
          <h2>How much is poured and how much thrown away, month by month</h2>
          <PouredByMonth months={months} />
        </section>
      ) : null}
    </>
  )
}
