'use client'

import { Button, Input } from 'antd'
import { useState } from 'react'
import { levelTimeOfRun, RUN, RUN_SIGMA } from '@/core/consistency/run'
import { parseNumber } from '@/core/quantity/number'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { readBottleAction } from './actions'
import type { ConsistencyData } from './queries'

/** Reads a bottle that is too thin to be timed: how far half a millilitre runs down a card. */
export function RunReading({ vesselId, pairs: both }: { vesselId: string; pairs: ConsistencyData['pairs'] }) {
  const pairs = both.flatMap(({ levelTimeS, runMm }) => (runMm === null ? [] : [{ levelTimeS, runMm }]))
  const [typed, setTyped] = useState('')
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const keep = () =>
    attempt(() => {
      const runMm = parseNumber(typed.replace(/mm$/i, '').trim()) ?? NaN
      const levelTimeS = levelTimeOfRun(runMm, pairs)
      const sigma = RUN_SIGMA + (pairs.length ? 0.1 : 0.3)
      send(
        (requestId) => readBottleAction({ requestId, vesselId, levelTimeS, sigma, tries: [], how: 'run', runMm }),
        () => setTyped(''),
        'Reading kept',
      )
    })
  return (
    <>
      <label className="field">
        <span>It runs, mm</span>
        <Input
          value={typed}
          inputMode="decimal"
          placeholder="60"
          onChange={(e) => setTyped(e.target.value)}
          onPressEnter={keep}
        />
      </label>
      <p className="muted">
        {RUN.ul / 1000} ml on a card held at {RUN.degrees}°, measured after {RUN.seconds} seconds.{' '}
        {pairs.length
          ? `Read as level time by ${pairs.length} mixes that were read both ways.`
          : 'Read as level time by a start value of Fika until mixes were read both ways.'}
      </p>
      <Button type="primary" size="large" loading={pending} onClick={keep}>
        Keep the reading
      </Button>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </>
  )
}
