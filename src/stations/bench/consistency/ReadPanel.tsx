'use client'

import { Button, Input, Segmented, Select } from 'antd'
import { useState } from 'react'
import { FLOW_CUPS, kinematicViscosity, secondsPerNu } from '@/core/consistency/flowCup'
import { parseNumber } from '@/core/quantity/number'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useHandKeys } from '@/ui/hooks/useHandKeys'
import { useSend } from '@/ui/hooks/useSend'
import { useTries } from '../useTries'
import { readBottleAction } from './actions'
import type { ConsistencyData, DeskBottle } from './queries'
import styles from './consistency.module.css'

/** A flow cup in one run is about as sure as this, σ of ln ν. From memory; a start value. */
const CUP_SIGMA = 0.05

/** Reads a bottle: the mound by one key, or a flow cup. */
export function ReadPanel({ bottle, pairs }: { bottle: DeskBottle; pairs: ConsistencyData['pairs'] }) {
  const [how, setHow] = useState<'stopwatch' | 'flow cup'>('stopwatch')
  const [cup, setCup] = useState('iso-4')
  const [seconds, setSeconds] = useState('')
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<null>()
  const watch = useTries((reading, clear) =>
    send(
      (requestId) => readBottleAction({ requestId, vesselId: bottle.id, ...reading, how: 'stopwatch' }),
      clear,
      'Reading kept',
    ),
  )
  useHandKeys({ next: how === 'stopwatch' ? watch.press : undefined, undo: watch.undo })
  const keepCup = () =>
    attempt(() => {
      const nu = kinematicViscosity(cup, parseNumber(seconds) ?? NaN)
      const levelTimeS = Math.min(600, nu * secondsPerNu(pairs))
      send(
        (requestId) =>
          readBottleAction({
            requestId,
            vesselId: bottle.id,
            levelTimeS,
            sigma: CUP_SIGMA + (pairs.length ? 0.1 : 0.3),
            tries: [],
            how: 'flow cup',
            nu,
          }),
        () => setSeconds(''),
        'Reading kept',
      )
    })
  const chosen = FLOW_CUPS.find((c) => c.key === cup)!
  return (
    <section className="panel" aria-label="Read">
      <Segmented<'stopwatch' | 'flow cup'>
        block
        value={how}
        onChange={setHow}
        options={[
          { value: 'stopwatch', label: 'Time the mound' },
          { value: 'flow cup', label: 'Flow cup' },
        ]}
        className="apart"
      />
      {how === 'stopwatch' ? (
        <>
          <button type="button" className={styles.watch} onClick={(e) => watch.press(e.timeStamp)} disabled={pending}>
            <span className="big" data-testid="watch">
              {(watch.running ? watch.seconds : (watch.tries.at(-1) ?? 0)).toFixed(1)} s
            </span>
            <span>{watch.running ? 'Press when the mound is gone' : `Press when the ribbon stops: ${watch.turn}`}</span>
            <kbd>Space</kbd>
          </button>
          <p className="muted" style={{ minHeight: 26 }}>
            {watch.said || 'Let a ribbon fall from the stick; count until its heap is flat.'}{' '}
            {watch.enough && !pending ? (
              <button type="button" className="plain" onClick={watch.enough}>
                That is enough
              </button>
            ) : null}
          </p>
        </>
      ) : (
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
                onPressEnter={keepCup}
              />
            </label>
          </div>
          <p className="muted">
            {chosen.source}; good for {chosen.rangeS[0]} to {chosen.rangeS[1]} s.{' '}
            {pairs.length
              ? `Read as level time by ${pairs.length} mixes that were read both ways.`
              : 'Read as level time by a start value until mixes were read both ways.'}
          </p>
          <Button type="primary" size="large" loading={pending} onClick={keepCup}>
            Keep the reading
          </Button>
        </>
      )}
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
    </section>
  )
}
