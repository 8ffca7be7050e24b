'use client'

import { useState } from 'react'
import type { GuideLine } from '@/core/mix/guide'
import { parseAmount, type UnitSystem } from '@/core/quantity/parse'
import { readTypedIfAny } from '@/core/quantity/typed'
import { useSend } from '@/ui/hooks/useSend'
import { weighOnceAction } from './actions'
import styles from '../bench.module.css'

/** Weigh once, weigh for ever: a typed volume on a steady scale gives the density, which is remembered. */
export function WeighOnce({
  line,
  typed,
  units,
  grams,
}: {
  line: GuideLine
  typed: string
  units: UnitSystem
  grams: number | null
}) {
  const { send, pending, refusal } = useSend<null>()
  const [kept, setKept] = useState<string>()
  const ml = readTypedIfAny(typed, (t) => parseAmount(t, 'volume', units)).value
  if (line.source !== 'material' || line.kind === 'water' || grams === null || grams < 2 || !ml || ml < 2)
    return kept ? <p className={styles.guideSay}>{kept}</p> : null
  const density = grams / ml
  if (density < 0.5 || density > 6) return null
  return (
    <p className={styles.guideSay}>
      {ml} ml weigh {grams.toFixed(1)} g: {density.toFixed(3)} g/ml, kept as {line.densityGPerMl.toFixed(3)}.{' '}
      <button
        type="button"
        className="plain"
        disabled={pending}
        onClick={() =>
          send(
            () => weighOnceAction({ materialId: line.id, densityGPerMl: Number(density.toFixed(4)) }),
            () => setKept(`Remembered: ${line.name} is ${density.toFixed(3)} g/ml from the next mix on.`),
          )
        }
      >
        Weighed once, remember it
      </button>
      {refusal ? ` ${refusal.message}` : ''}
    </p>
  )
}
