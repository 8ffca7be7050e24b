'use client'

import { useState } from 'react'
import type { GuideLine } from '@/core/mix/guide'
import { FikaError } from '@/core/errors'
import { parseAmount, type UnitSystem } from '@/core/quantity/parse'
import { useSend } from '@/ui/hooks/useSend'
import { weighOnceAction } from './actions'

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
  const ml = readMl(typed, units)
  if (line.source !== 'material' || line.kind === 'water' || grams === null || grams < 2 || !ml || ml < 2)
    return kept ? <p className="guide-say">{kept}</p> : null
  const density = grams / ml
  if (density < 0.5 || density > 6) return null
  return (
    <p className="guide-say">
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

function readMl(typed: string, units: UnitSystem): number | undefined {
  try {
    return typed.trim() ? parseAmount(typed, 'volume', units) : undefined
  } catch (error) {
    if (error instanceof FikaError) return undefined
    throw error
  }
}
