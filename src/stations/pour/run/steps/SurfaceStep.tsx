'use client'

import { useState } from 'react'
import { formatMl } from '@/core/quantity/format'
import { StepKey } from '@/ui/hand/StepKey'
import { Aside } from '../Aside'
import { Key } from '../Key'
import { GiveAmount } from '../GiveAmount'
import { RunBoard } from '../RunBoard'
import { ScaleLine } from '@/ui/hand/ScaleLine'
import { TakePhoto } from '../TakePhoto'
import { WeighOrType } from '../WeighOrType'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'

const SHARES = [
  ['covers all of it', 1],
  ['three quarters', 0.75],
  ['half', 0.5],
  ['a part', 0.25],
] as const

/** The surface before the cups: its weight, a photo, and the coats that lie under them. */
export function SurfaceStep(props: RunStepProps) {
  const { plan, state, piece, send, next, bottleOf, scale } = props
  const weight = state.weights.get(piece.id)
  const [share, setShare] = useState(1)
  const coats = plan.coats.map((coat) => ({
    coat,
    inUl: state.given.reduce((sum, g) => sum + (g.coat === coat.id ? g.ul : 0), 0),
  }))
  const own = coats.filter((c) => c.coat.piece === piece.id)
  const open = own.find((c) => c.inUl === 0 && bottleOf(c.coat.bottle))
  const bottle = open && bottleOf(open.coat.bottle)
  return (
    <>
      {open && bottle ? (
        <GiveAmount
          {...props}
          key={open.coat.id}
          bottle={bottle}
          into={`${open.coat.role} on ${piece.title}`}
          plannedUl={open.coat.ul}
          inUl={0}
          give={(amount) =>
            send({
              kind: 'coat',
              coat: open.coat.id,
              role: open.coat.role,
              share,
              piece: piece.id,
              bottle: bottle.id,
              ...amount,
            })
          }
        />
      ) : (
        <>
          <StepKey label="On to the cups" next={next} />
          <h2 className={styles.title}>{own.length ? 'Its coats are on' : 'No coat is planned'}</h2>
        </>
      )}
      {own.map(({ coat, inUl }) =>
        inUl > 0 ? (
          <p key={coat.id} className="muted">
            {coat.role}: {formatMl(inUl)} of {bottleOf(coat.bottle)?.label ?? 'a bottle'}, {formatMl(coat.ul)} planned.
          </p>
        ) : null,
      )}
      {open ? (
        <div className={styles.keys} role="group" aria-label="How much of the face it covers">
          {SHARES.map(([words, of]) => (
            <Key key={words} on={share === of} press={() => setShare(of)}>
              {words}
            </Key>
          ))}
        </div>
      ) : null}
      <WeighOrType
        {...props}
        label={`Weight of ${piece.title} before, if wanted`}
        placeholder={
          weight?.before === null || weight === undefined ? '412 g' : `${weight.before.toFixed(1)} g is kept`
        }
        keep={(grams) => send({ kind: 'weigh', piece: piece.id, when: 'before', grams })}
      />
      <div className={styles.keys}>
        <TakePhoto {...props} />
      </div>
      <Aside>
        <RunBoard piece={piece} state={state} />
        <ScaleLine scale={scale} wanted={open && bottle ? (open.coat.ul / 1000) * bottle.densityGPerMl : undefined} />
      </Aside>
    </>
  )
}
