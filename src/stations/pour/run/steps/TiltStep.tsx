'use client'

import { EDGE_NAMES } from '@/core/run/corners'
import { StepKey } from '@/ui/hand/StepKey'
import { Aside } from '../Aside'
import { Key } from '../Key'
import { RunBoard } from '../RunBoard'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'
import { orderOf } from './LookStep'

/** One corner after another on the key; stop when it is covered. */
export function TiltStep(props: RunStepProps) {
  const { state, piece, send, next } = props
  const order = orderOf(props)
  const tilts = state.tilts.filter((t) => t.piece === piece.id).map((t) => t.to)
  const corner = order.find((c) => !tilts.includes(c))
  const tilt = (to: (typeof order)[number] | (typeof EDGE_NAMES)[number]) =>
    void send({ kind: 'tilt', piece: piece.id, to })
  const film = state.films.get(piece.id)
  return (
    <>
      <StepKey
        label={corner ? `Tilted to the ${corner}` : 'Covered, on'}
        next={() => (corner ? tilt(corner) : next())}
      />
      <h2 className={styles.title}>{corner ? `To the ${corner}` : 'Every corner was tilted to'}</h2>
      <p className={styles.say}>
        {corner
          ? 'Slowly, and the weight back to the middle after it. Stop as soon as it is covered.'
          : 'Is it covered, and is not too much left on it? Then stop.'}
      </p>
      <p className={styles.say} data-testid="tilts">
        {tilts.length ? `So far: ${tilts.join(', ')}.` : ''}
      </p>
      <div className={styles.keys} role="group" aria-label="Any way it was tilted">
        {[...order, ...EDGE_NAMES].map((to) => (
          <Key key={to} press={() => tilt(to)}>
            {to}
          </Key>
        ))}
      </div>
      <div className={styles.keys} role="group" aria-label="What is left on it">
        {(['thin', 'as wanted', 'too much'] as const).map((f) => (
          <Key key={f} on={film === f} press={() => void send({ kind: 'left', piece: piece.id, film: f })}>
            Left on it: {f}
          </Key>
        ))}
        <Key press={next}>Covered, go on</Key>
      </div>
      <Aside>
        <RunBoard piece={piece} state={state} order={order} done={tilts} />
      </Aside>
    </>
  )
}
