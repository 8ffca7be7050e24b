'use client'

import { Button, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { usualWater } from '@/core/mix/thinners'
import { formatDrops, formatSmall } from '@/core/quantity/format'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import type { Water } from '@/db/materials/mixable'
import { Notice } from '@/ui/frame/Notice'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { QuantityInput, readVolume } from '@/ui/forms/QuantityInput'

/** Water for a bottle: what evaporated, or drops until it pours as it should. */
export function WaterForm({
  waters,
  evaporatedUl,
  limit,
  units,
  attempt,
  pending,
  onAdd,
}: {
  waters: readonly Water[]
  evaporatedUl: number
  /** What the house's limit says of the water in it. */
  limit: { readonly roomUl: number; readonly sentence: string } | undefined
  units: UnitSystem
  /** Runs what may not be readable, and says what is wrong. */
  attempt: (work: () => void) => void
  pending: boolean
  onAdd: (waterId: string, ul: number) => void
}) {
  const { water: dropUl } = useDropSizes()
  const [typed, setTyped] = useState(evaporatedUl ? formatDrops(evaporatedUl, dropUl).replace('\u00a0', ' ') : '')
  const [waterId, setWaterId] = useState(usualWater(waters)?.id)
  return (
    <>
      <label className="field">
        <span>Water that went in</span>
        <QuantityInput
          label="Water that went in"
          value={typed}
          onChange={setTyped}
          system={units}
          dropUl={dropUl}
          size="large"
          placeholder="6 drops"
        />
      </label>
      <label className="field">
        <span>Which water</span>
        <Select
          aria-label="Which water"
          value={waterId}
          onChange={setWaterId}
          className="wide"
          options={waters.map((w) => ({ value: w.id, label: w.name }))}
        />
      </label>
      {limit && (readVolume(typed, units, dropUl).value ?? 0) > Math.max(limit.roomUl, evaporatedUl) ? (
        <Notice kind="warning">
          {limit.sentence}{' '}
          {limit.roomUl > 0
            ? `There is room for ${formatSmall(limit.roomUl, dropUl)} of water`
            : 'There is no room for more water'}
          : thin it with medium instead.
        </Notice>
      ) : null}
      <p className="muted">
        How much it needs is said under <Link href="/bench/consistency">Consistency</Link>.
      </p>
      <Button
        type="primary"
        size="large"
        loading={pending}
        disabled={!waterId}
        onClick={() => attempt(() => onAdd(waterId!, parseVolumeUl(typed, units, dropUl)))}
      >
        Add the water
      </Button>
    </>
  )
}
