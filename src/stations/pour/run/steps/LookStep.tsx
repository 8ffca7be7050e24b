'use client'

import { useState } from 'react'
import { cornerOrder, stripEdges } from '@/core/run/corners'
import { footprint } from '@/core/surface/shapes'
import { StepKey } from '@/ui/hand/StepKey'
import { Key } from '../Key'
import { RunBoard } from '../RunBoard'
import { TakePhoto } from '../TakePhoto'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

const WHY = ['cells', 'lacing', 'colour', 'flow', 'quiet spot']
const WHY_NOT = ['mud', 'dull', 'a hole', 'too busy']
/** A keeper is marked so large at first, as a share of the shorter side. Start value of Fika. */
const RADIUS = 0.12

/** Look from above before the board is lifted: what is to stay and what may go, and the corners that follow from it. */
export function LookStep(props: RunStepProps) {
  const { plan, state, piece, send, next } = props
  const [isKept, setKept] = useState(true)
  const [why, setWhy] = useState('')
  const [large, setLarge] = useState(1)
  const { lengthMm, widthMm } = footprint(piece.surface)
  const kept = state.keepers.filter((k) => k.piece === piece.id && k.isKept)
  const order = orderOf(props)
  const strips = stripEdges(piece.surface, kept)
  return (
    <>
      <StepKey label="On to the tilt" next={next} />
      <h2 className={styles.title}>Look from above, {piece.title}</h2>
      <p className={styles.say}>Tap what is to stay, then what may go.</p>
      <div className={styles.keys} role="group" aria-label="What a tap marks">
        <Key on={isKept} press={() => setKept(true)}>
          To keep
        </Key>
        <Key on={!isKept} press={() => setKept(false)}>
          May go
        </Key>
        {[0.6, 1, 1.6].map((s) => (
          <Key key={s} on={large === s} press={() => setLarge(s)}>
            {s < 1 ? 'Small' : s > 1 ? 'Large' : 'Middle'}
          </Key>
        ))}
        {(isKept ? WHY : WHY_NOT).map((w) => (
          <Key key={w} on={why === w} press={() => setWhy(why === w ? '' : w)}>
            {w}
          </Key>
        ))}
      </div>
      <RunBoard
        piece={piece}
        state={state}
        order={order}
        tap={(at) => {
          const radiusMm = Math.round(large * RADIUS * Math.min(lengthMm, widthMm))
          send({ kind: 'keep', piece: piece.id, at: [Math.round(at[0]), Math.round(at[1])], radiusMm, isKept, why })
        }}
      />
      <p className={styles.say} data-testid="corner-order">
        Corners: {order.join(', ')}.{' '}
        {plan.rehearsed.length
          ? 'As it was rehearsed.'
          : kept.length
            ? 'Away from what stays first; the weight back to the middle after each.'
            : 'Round the face, until something is marked.'}
        {strips.length ? ` A strip of card at the ${strips.join(' and the ')}: what is to stay touches it.` : ''}
      </p>
      <div className={styles.keys}>
        <TakePhoto {...props} />
      </div>
    </>
  )
}

/** From the rehearsal where there is one, else away from what is to stay. */
export const orderOf = ({ plan, state, piece }: Pick<RunStepProps, 'plan' | 'state' | 'piece'>) =>
  plan.rehearsed.length
    ? plan.rehearsed
    : cornerOrder(
        piece.surface,
        state.keepers.filter((k) => k.piece === piece.id && k.isKept),
      )
