'use client'

import { useState } from 'react'
import { EDGE_NAMES } from '@/core/run/corners'
import { StepKey } from '@/ui/hand/StepKey'
import { Chip } from '@/ui/pictures/Drawdown'
import { Aside } from '../Aside'
import { Key } from '../Key'
import { RunBoard } from '../RunBoard'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

/** What dressing one side with a finger takes. Start value of Fika, µl. */
const SIDE_UL = 1_500

/** Sides and corners dressed, from what dripped beneath or from a bottle, each ticked. */
export function EdgesStep(props: RunStepProps) {
  const { plan, state, piece, send, next, bottleOf } = props
  const [bottle, setBottle] = useState<string | null>(null)
  const own = state.edges.filter((e) => e.piece === piece.id)
  const side = EDGE_NAMES.find((s) => !own.some((e) => e.side === s))
  const dress = (to: (typeof EDGE_NAMES)[number]) =>
    void send({ kind: 'edge', side: to, piece: piece.id, bottle, ul: bottle ? SIDE_UL : 0, how: 'eye' })
  const used = [...new Set([...plan.bottles.map((b) => b.id), ...state.given.map((g) => g.bottle)])]
  return (
    <>
      <StepKey label={side ? `The ${side} is dressed` : 'On'} next={() => (side ? dress(side) : next())} />
      <h2 className={styles.title}>Edges and corners, {piece.title}</h2>
      <p className={styles.say}>
        With what dripped where it lies, the colours go on as they fell. Then wipe the drips beneath.
      </p>
      <div className={styles.keys} role="group" aria-label="Dressed with">
        <Key on={bottle === null} press={() => setBottle(null)}>
          What dripped
        </Key>
        {used.map((id) => {
          const b = bottleOf(id)
          return b ? (
            <Key key={id} on={bottle === id} press={() => setBottle(id)}>
              <Chip hex={b.hex} sheen={b.sheen} size={30} />
              <span>
                {b.label}
                <small>1.5 ml a side, start value of Fika</small>
              </span>
            </Key>
          ) : null
        })}
      </div>
      <div className={styles.keys} role="group" aria-label="Sides">
        {EDGE_NAMES.map((s) => (
          <Key key={s} on={own.some((e) => e.side === s)} press={() => dress(s)}>
            {own.some((e) => e.side === s) ? '✓ ' : ''}
            {s}
          </Key>
        ))}
        <Key press={next}>Leave them</Key>
      </div>
      <Aside>
        <RunBoard piece={piece} state={state} />
      </Aside>
    </>
  )
}
