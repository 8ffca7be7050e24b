import { RIM_MM } from '@/core/layering/rim'
import type { Worked } from './workOut'
import { Chip } from '@/ui/pictures/Drawdown'
import styles from './desk.module.css'

/** What of each colour lies in the rim, which usually runs off. */
export function RimLine({ worked, surface, vessel }: { worked: Worked; surface: string; vessel: boolean }) {
  const on = worked.onSurfaces.find((s) => s.surface === surface)
  if (!on || on.seen.length === 0 || vessel) return null
  return (
    <p className={styles.rim}>
      <span>
        Hatched: {RIM_MM[0]} mm. Within {RIM_MM[1]} mm of the edge, which usually runs off, lies of
      </span>
      {[...on.seen]
        .sort((a, b) => b.inRim - a.inRim)
        .map((s) => (
          <span key={s.colour} className={styles.rimPart}>
            <Chip hex={worked.colours[s.colour]?.hex ?? null} size={16} />
            {worked.colours[s.colour]?.label} {Math.round(s.inRim * 100)} %
          </span>
        ))}
    </p>
  )
}
