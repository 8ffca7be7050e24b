'use client'

import { useState } from 'react'
import { HandInput } from '@/ui/forms/HandInput'
import { StepKey } from '@/ui/hand/StepKey'
import { Key } from './Key'
import type { RunStepProps } from './stepProps'
import styles from './run.module.css'

/** Minutes a timer is offered with. */
const MINUTES = [1, 2, 5, 10, 20]

/** A word to remember, or a timer that rings, from any step. */
export function NoteIt({ plan, send, close }: RunStepProps & { close: () => void }) {
  const [text, setText] = useState('')
  const keep = () => {
    if (send({ kind: 'note', text: text.trim() })) close()
  }
  const waits = [
    ...plan.waits.map((w) => ({ what: w.what, minutes: w.minutes })),
    ...MINUTES.map((minutes) => ({ what: `${minutes} min`, minutes })),
  ]
  return (
    <>
      <StepKey label={text.trim() ? 'Keep the note' : 'Back to the step'} next={text.trim() ? keep : close} />
      <h2 className={styles.title}>A note</h2>
      <HandInput
        value={text}
        maxLength={1000}
        aria-label="Note"
        onChange={(e) => setText(e.target.value)}
        onEnter={keep}
      />
      <h2 className={styles.title}>A timer that rings</h2>
      <div className={styles.keys}>
        {waits.map((w) => (
          <Key
            key={w.what}
            press={() => {
              if (send({ kind: 'wait', what: w.what, seconds: Math.round(60 * w.minutes) })) close()
            }}
          >
            <span>
              {w.what}
              {w.what.startsWith(String(w.minutes)) ? null : <small>{w.minutes} min</small>}
            </span>
          </Key>
        ))}
      </div>
    </>
  )
}
