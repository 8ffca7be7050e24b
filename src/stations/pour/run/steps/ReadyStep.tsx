'use client'

import { useState } from 'react'
import { groupBy } from '@/core/groupBy'
import { HandInput } from '@/ui/forms/HandInput'
import { StepKey } from '@/ui/hand/StepKey'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { Notice } from '@/ui/frame/Notice'
import { Key, Tick } from '../Key'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

const ALWAYS = ['Surface level, looked at across both ways', 'Gloves on, air moving', 'Children and pets out']

/** What stands ready: everything to put out, the room, and the cautions where the risk is. */
export function ReadyStep({ plan, state, desk, send, say, next }: RunStepProps) {
  const tick = (what: string) => (
    <li key={what}>
      <Tick on={state.ticks.has(what)} press={() => void send({ kind: 'tick', what, on: !state.ticks.has(what) })}>
        {what}
      </Tick>
    </li>
  )
  const groups = groupBy(plan.putOut, (l) => l.group)
  return (
    <>
      <StepKey label="Ready" next={next} />
      <h2 className={styles.title}>Ready?</h2>
      <ul className={styles.ticks}>{ALWAYS.map(tick)}</ul>
      {[...groups].map(([group, lines]) => (
        <div key={group}>
          <h3>{group}</h3>
          <ul className={styles.ticks}>{lines.map((l) => tick(l.how ? `${l.what}: ${l.how}` : l.what))}</ul>
        </div>
      ))}
      <Climate
        celsius={state.climate?.celsius ?? desk.celsius}
        humidity={state.climate?.humidity ?? desk.humidity}
        send={send}
        say={say}
        known={state.climate !== null}
      />
      {plan.cautions.map((c) => (
        <Notice key={c} kind="warning">
          {c}
        </Notice>
      ))}
      <Notice kind="warning">
        Gloves; fresh air; kitchen tools never go back to the kitchen. Painted vessels: nothing where food or lips
        touch. No paint solids down the drain. Follow product labels, local codes and licensed practice.
      </Notice>
    </>
  )
}

/** The air of the day, typed once; until then as the room usually is. */
function Climate({
  celsius,
  humidity,
  known,
  send,
  say,
}: { celsius: number; humidity: number; known: boolean } & Pick<RunStepProps, 'send' | 'say'>) {
  const [warm, setWarm] = useState(String(Math.round(celsius)))
  const [damp, setDamp] = useState(String(Math.round(100 * humidity)))
  const keep = () =>
    attemptOr(say, () => {
      const read = (text: string) => Number.parseFloat(text.replace(',', '.'))
      send({ kind: 'climate', celsius: read(warm), humidity: read(damp) / 100 })
    })
  return (
    <div className={styles.typed}>
      <label>
        <span>Warmth, °C</span>
        <HandInput value={warm} aria-label="Warmth, °C" onChange={(e) => setWarm(e.target.value)} onEnter={keep} />
      </label>
      <label>
        <span>Humidity, %</span>
        <HandInput value={damp} aria-label="Humidity, %" onChange={(e) => setDamp(e.target.value)} onEnter={keep} />
      </label>
      <Key press={keep}>{known ? 'Kept; change it' : 'Keep the climate'}</Key>
    </div>
  )
}
