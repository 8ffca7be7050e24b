'use client'

import { Segmented } from 'antd'
import { useState } from 'react'
import { forecast } from '@/core/consistency/dilution'
import { TOO_THIN_TO_TIME_S } from '@/core/consistency/run'
import { Notice } from '@/ui/frame/Notice'
import { useHandKeys } from '@/ui/hooks/useHandKeys'
import { useSend } from '@/ui/hooks/useSend'
import { useTries } from '@/ui/hand/useTries'
import { readBottleAction } from './actions'
import { CupReading } from './CupReading'
import { RunReading } from './RunReading'
import type { ConsistencyData, DeskBottle } from './queries'
import styles from './consistency.module.css'

type Way = 'stopwatch' | 'run' | 'flow cup'

/** Reads a bottle: the mound by one key; what is too thin for that by a run down a card, or by a flow cup. */
export function ReadPanel({ bottle, pairs }: { bottle: DeskBottle; pairs: ConsistencyData['pairs'] }) {
  const expectedS = bottle.levelTimeS ?? Math.exp(forecast(bottle.belief, bottle.w).lnT)
  const thin = expectedS < TOO_THIN_TO_TIME_S
  const [chosen, setChosen] = useState<Way>()
  const how = chosen ?? (thin ? 'run' : 'stopwatch')
  const { send, pending, refusal } = useSend<null>()
  const watch = useTries((reading, clear) =>
    send(
      (requestId) => readBottleAction({ requestId, vesselId: bottle.id, ...reading, how: 'stopwatch' }),
      clear,
      'Reading kept',
    ),
  )
  useHandKeys({ next: how === 'stopwatch' ? watch.press : undefined, undo: watch.undo })
  return (
    <section className="panel" aria-label="Read">
      <Segmented<Way>
        block
        value={how}
        onChange={setChosen}
        options={[
          { value: 'stopwatch', label: 'Mound' },
          { value: 'run', label: 'Card' },
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
            {thin ? 'So thin a mound is gone before a hand can time it: a run on a card tells more. ' : null}
            {watch.enough && !pending ? (
              <button type="button" className="plain" onClick={watch.enough}>
                That is enough
              </button>
            ) : null}
          </p>
        </>
      ) : how === 'run' ? (
        <RunReading vesselId={bottle.id} pairs={pairs} />
      ) : (
        <CupReading vesselId={bottle.id} pairs={pairs} expectedS={expectedS} />
      )}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
