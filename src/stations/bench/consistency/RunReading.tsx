'use client'

import { Input } from 'antd'
import { useState } from 'react'
import { levelTimeOfRun, RUN, RUN_SIGMA } from '@/core/consistency/run'
import { parseNumber } from '@/core/quantity/number'
import { KeepOther, useOtherReading } from './OtherReading'
import type { ConsistencyData } from './queries'

/** Reads a bottle that is too thin to be timed: how far half a millilitre runs down a card. */
export function RunReading({ vesselId, pairs: both }: { vesselId: string; pairs: ConsistencyData['pairs'] }) {
  const pairs = both.flatMap(({ levelTimeS, runMm }) => (runMm === null ? [] : [{ levelTimeS, runMm }]))
  const [typed, setTyped] = useState('')
  const kept = useOtherReading(
    vesselId,
    RUN_SIGMA,
    pairs.length,
    () => {
      const runMm = parseNumber(typed.replace(/mm$/i, '').trim()) ?? NaN
      return { levelTimeS: levelTimeOfRun(runMm, pairs), how: 'run', runMm }
    },
    () => setTyped(''),
  )
  return (
    <>
      <label className="field">
        <span>It runs, mm</span>
        <Input
          value={typed}
          inputMode="decimal"
          placeholder="60"
          onChange={(e) => setTyped(e.target.value)}
          onPressEnter={kept.keep}
        />
      </label>
      <KeepOther of={kept}>
        {RUN.ul / 1000} ml on a card held at {RUN.degrees}°, measured after {RUN.seconds} seconds.
      </KeepOther>
    </>
  )
}
