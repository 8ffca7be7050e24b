'use client'

import { DEEDS, type Deed } from '@/core/run/events'
import { loadedCups } from '@/core/run/loading'
import { StepKey } from '@/ui/hand/StepKey'
import { useStopwatch } from '@/ui/hooks/useStopwatch'
import { Notice } from '@/ui/frame/Notice'
import { CAUTIONS } from '@/core/technique/technique'
import { Aside } from '../Aside'
import { Key } from '../Key'
import { RunBoard } from '../RunBoard'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

const WORDS: Readonly<Record<Deed, string>> = {
  place: 'Placed',
  lift: 'Lifted',
  flip: 'Flipped',
  drag: 'Dragged',
  swipe: 'Swiped',
  blow: 'Blown',
  speck: 'Speck picked out',
  'cut line': 'Cut line drawn',
  accent: 'Accent set',
}

/** The cups onto the surface: what the hands do, by one tap each; timers, and heat with its seconds. */
export function PourStep(props: RunStepProps) {
  const { plan, state, piece, send, next } = props
  const cups = loadedCups(plan, state).filter((c) => c.cup.piece === piece.id)
  const done = state.deeds.filter((d) => d.piece === piece.id)
  return (
    <>
      <StepKey label="Poured, look at it" next={next} />
      <h2 className={styles.title}>Pour {piece.title}</h2>
      <p className={styles.say}>
        {cups.map((c) => c.cup.title).join(', ') || 'Straight from the bottle'}. End the stream cleanly: lift and turn
        the cup, so that its tail draws a fine line and not a blot.
      </p>
      <div className={styles.keys} role="group" aria-label="What the hands did">
        {DEEDS.map((deed) => {
          const times = done.filter((d) => d.deed === deed).length
          return (
            <Key
              key={deed}
              press={() => void send({ kind: 'deed', deed, piece: piece.id, cup: cups[0]?.cup.id ?? null })}
            >
              <span>
                {WORDS[deed]}
                {times ? <small>{times} ×</small> : null}
              </span>
            </Key>
          )
        })}
      </div>
      <div className={styles.keys} role="group" aria-label="Timers">
        {plan.waits.map((w) => (
          <Key
            key={w.what}
            press={() => void send({ kind: 'wait', what: w.what, seconds: Math.round(60 * w.minutes) })}
          >
            <span>
              Start: {w.what}
              <small>{w.minutes} min</small>
            </span>
          </Key>
        ))}
      </div>
      {plan.heat === 'never' ? <p className="muted">{plan.techniqueName} wants no heat.</p> : <Heat {...props} />}
      <Aside>
        <RunBoard piece={piece} state={state} />
      </Aside>
    </>
  )
}

/** Heat by the stopwatch: how long and how often. It also dries the skin. */
export function Heat({ state, piece, send }: RunStepProps) {
  const own = state.heats.filter((h) => h.piece === piece.id)
  const watch = useStopwatch((seconds) => void send({ kind: 'heat', piece: piece.id, seconds: Math.round(seconds) }))
  const sum = own.reduce((s, h) => s + h.seconds, 0)
  return (
    <>
      <div className={styles.keys}>
        <Key on={watch.running} press={() => watch.press(performance.now())}>
          <span>
            {watch.running ? `Heat off, ${watch.seconds.toFixed(0)} s` : 'Heat on'}
            <small data-testid="heats">
              {own.length ? `${own.length} × so far, ${sum} s in all` : 'keep it moving; it dries the skin as well'}
            </small>
          </span>
        </Key>
        <Key press={() => void send({ kind: 'heat', piece: piece.id, seconds: 5 })}>About 5 s</Key>
      </div>
      <Notice kind="warning">{CAUTIONS.torch}</Notice>
    </>
  )
}
