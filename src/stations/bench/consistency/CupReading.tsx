'use client'

import { Button, Input, Select } from 'antd'
import { useState } from 'react'
import { cupFor, FLOW_CUPS, kinematicViscosity, secondsPerNu } from '@/core/consistency/flowCup'
import { parseNumber } from '@/core/quantity/number'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { readBottleAction } from './actions'
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
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const keep = () =>
    attempt(() => {
      const nu = kinematicViscosity(cup, parseNumber(seconds) ?? NaN)
      const levelTimeS = Math.min(600, nu * secondsPerNu(pairs))
      const sigma = CUP_SIGMA + (pairs.length ? 0.1 : 0.3)
      send(
        (requestId) => readBottleAction({ requestId, vesselId, levelTimeS, sigma, tries: [], how: 'flow cup', nu }),
        () => setSeconds(''),
        'Reading kept',
      )
    })
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
            onPressEnter={keep}
          />
        </label>
      </div>
      <p className="muted">
        {chosen.source}; good for {chosen.rangeS[0]} to {chosen.rangeS[1]} s.{' '}
        {pairs.length
          ? `Read as level time by ${pairs.length} mixes that were read both ways.`
          : 'Read as level time by a start value until mixes were read both ways.'}
      </p>
      <Button type="primary" size="large" loading={pending} onClick={keep}>
        Keep the reading
      </Button>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </>
  )
}
