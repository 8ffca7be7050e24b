'use client'

import { Input, Select } from 'antd'
import { useState } from 'react'
import { cupFor, FLOW_CUPS, kinematicViscosity, secondsPerNu } from '@/core/consistency/flowCup'
import { parseNumber } from '@/core/quantity/number'
import { KeepOther, useOtherReading } from './OtherReading'
import type { ConsistencyData } from './queries'

/** A flow cup in one run is about as sure as this, σ of ln ν. Start value of Fika. */
const CUP_SIGMA = 0.05

/** Reads a bottle by a flow cup: the one that reads such a mix best, or another. */
export function CupReading({
  vesselId,
  pairs: both,
  expectedS,
}: {
  vesselId: string
  pairs: ConsistencyData['pairs']
  expectedS: number
}) {
  const pairs = both.flatMap(({ levelTimeS, nu }) => (nu === null ? [] : [{ levelTimeS, nu }]))
  const [cup, setCup] = useState(() => cupFor(expectedS / secondsPerNu(pairs)).key)
  const [seconds, setSeconds] = useState('')
  const kept = useOtherReading(
    vesselId,
    CUP_SIGMA,
    pairs.length,
    () => {
      const nu = kinematicViscosity(cup, parseNumber(seconds) ?? NaN)
      return { levelTimeS: Math.min(600, nu * secondsPerNu(pairs)), how: 'flow cup', nu }
    },
    () => setSeconds(''),
  )
  const chosen = FLOW_CUPS.find((c) => c.key === cup)!
  return (
    <>
      <div className="two columns">
        <label className="field">
          <span>Cup</span>
          <Select
            aria-label="Flow cup"
            value={cup}
            onChange={setCup}
            className="wide"
            options={FLOW_CUPS.map((c) => ({ value: c.key, label: c.name }))}
          />
        </label>
        <label className="field">
          <span>Runs out in, s</span>
          <Input
            value={seconds}
            inputMode="decimal"
            placeholder="45"
            onChange={(e) => setSeconds(e.target.value)}
            onPressEnter={kept.keep}
          />
        </label>
      </div>
      <KeepOther of={kept}>
        {chosen.source}; good for {chosen.rangeS[0]} to {chosen.rangeS[1]} s.
      </KeepOther>
    </>
  )
}
