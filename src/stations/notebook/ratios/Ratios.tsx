import { Link } from '@/ui/frame/Link'
import { Spots } from '../charts/Spots'
import { OFF_SHARE, type RatiosFacts } from './facts'
import styles from '../notebook.module.css'

const SHOWN = 6

/** Ratios as they are called beside what really went in. */
export function Ratios({ facts: { mixes } }: { facts: RatiosFacts }) {
  const off = mixes.filter((m) => Math.abs(m.off) > OFF_SHARE).sort((a, b) => Math.abs(b.off) - Math.abs(a.off))
  const most = Math.ceil(Math.max(1, ...mixes.flatMap((m) => [m.namedMedium, m.cameMedium])))
  return (
    <section className="panel" aria-label="Ratios">
      <p className={styles.said}>
        <b>
          {off.length === 0
            ? 'Every mix came out as it is called.'
            : `${off.length} of ${mixes.length} mixes are not what they are called.`}
        </b>
      </p>
      <Spots
        label="Medium to one part of paint, named and real"
        x="medium to 1 of paint, as it is called"
        y="as it went in"
        max={{ x: most, y: most }}
        lines={[
          {
            points: [
              { x: 0, y: 0 },
              { x: most, y: most },
            ],
            isDashed: true,
          },
        ]}
        spots={mixes.map((m) => ({
          x: m.namedMedium,
          y: m.cameMedium,
          name: `${m.label}: called 1 : ${m.namedMedium.toFixed(2)}, really 1 : ${m.cameMedium.toFixed(2)}`,
          href: `/rack/${m.id}`,
          hex: m.hex,
        }))}
      />
      <p className="muted">On the dashed line a mix is what it is called; above it holds more medium, below less.</p>
      {off.slice(0, SHOWN).map((m) => (
        <p key={m.id} className="flush">
          <Link href={`/rack/${m.id}`}>{m.label}</Link> is called 1 : {m.namedMedium.toFixed(2)} and is 1 :{' '}
          {m.cameMedium.toFixed(2)}, {Math.round(100 * Math.abs(m.off))} % {m.off > 0 ? 'more' : 'less'} medium.
        </p>
      ))}
    </section>
  )
}
