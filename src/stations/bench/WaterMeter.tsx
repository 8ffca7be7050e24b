'use client'

import { WATER_RULES } from '@/core/mix/waterLimit'
import { formatMl } from '@/core/quantity/format'
import { Notice } from '@/ui/frame/Notice'
import { type MixView } from './mixDraft'
import styles from './bench.module.css'

/** How much water against what the mix bears by the house school. */
export function WaterMeter({ view }: { view: MixView }) {
  const water = view.water!
  const span = 2 * water.limit
  const at = (x: number) => `${Math.min(100, (x / span) * 100)}%`
  return (
    <div className="below">
      <h3>Water</h3>
      <div className={styles.meter} title={`${WATER_RULES[water.school].name}; ${water.source}`}>
        <i style={{ width: at(Math.min(water.value, span)) }} />
        <b style={{ left: at(water.limit) }} />
      </div>
      {water.within ? (
        <p className="muted near fine">
          {water.sentence} Room for {formatMl(water.roomUl)} of water.
        </p>
      ) : (
        <div className="near">
          <Notice kind="warning">{water.sentence}</Notice>
        </div>
      )}
    </div>
  )
}
