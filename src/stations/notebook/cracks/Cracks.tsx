import { Spots } from '../charts/Spots'
import type { CracksFacts } from './facts'
import styles from '../notebook.module.css'

/** Risk of cracks by the film left on, with the studio's own pieces on it. */
export function Cracks({ facts }: { facts: CracksFacts }) {
  const cracked = facts.pieces.filter((p) => p.cracked)
  return (
    <section className="panel" aria-label="Crack risk">
      <p className={styles.said}>
        <b>Up to about {facts.safeMm.toFixed(1)} mm of wet film the risk of cracks stays under one in ten</b>; of a
        watery mix {facts.safeWateryMm.toFixed(1)} mm.
      </p>
      <Spots
        label="Risk of cracks by wet film"
        x="wet film left on, mm"
        y="risk of cracks, %"
        max={{ x: 4, y: 100 }}
        lines={[{ points: facts.usual }, { points: facts.watery, isDashed: true }]}
        spots={facts.pieces.map((p) => ({
          x: Math.min(4, p.wetMm),
          y: p.cracked ? 97 : 3,
          name: `${p.title}: ${p.wetMm.toFixed(2)} mm, ${p.cracked ? 'cracked' : 'held'}`,
          href: `/wall/${p.id}`,
          isRing: !p.cracked,
        }))}
      />
      <p className="muted">
        {cracked.length} of {facts.pieces.length} dry pieces cracked (full spots, above); rings held. Solid line: water
        a quarter of the paint; dashed: six tenths. Learned from these pieces, starting from start values of Fika: film,
        water past 30 %, anti-craze medium, weak binder, a forced skin.
      </p>
    </section>
  )
}
