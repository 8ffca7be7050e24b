'use client'

import { STILL_MOVING } from '@/core/device/settle'
import { useState } from 'react'
import { parseMassMg } from '@/core/quantity/parse'
import { HandInput } from '@/ui/forms/HandInput'
import { attemptOr } from '@/ui/hooks/useAttempt'
import { Key } from './Key'
import type { RunStepProps } from './stepProps'
import styles from './run.module.css'

/** A weight: what the scale shows with one tap, or typed. */
export function WeighOrType({
  scale,
  desk,
  say,
  label,
  placeholder,
  keep,
}: Pick<RunStepProps, 'scale' | 'desk' | 'say'> & {
  label: string
  placeholder: string
  /** @returns whether it was kept */
  keep: (grams: number) => boolean
}) {
  const [typed, setTyped] = useState('')
  const take = () =>
    attemptOr(say, () => {
      if (keep(parseMassMg(typed, desk.units) / 1000)) setTyped('')
    })
  return (
    <div className={styles.typed}>
      <label>
        <span>{label}</span>
        <HandInput
          value={typed}
          aria-label={label}
          placeholder={placeholder}
          onChange={(e) => setTyped(e.target.value)}
          onEnter={take}
        />
      </label>
      <Key press={take} disabled={!typed.trim()} label={`Keep ${label}`}>
        Keep it
      </Key>
      {scale.here ? (
        <Key
          label={`From the scale: ${label}`}
          press={() => (scale.settledG === null ? say(STILL_MOVING) : void keep(scale.settledG))}
        >
          {scale.grams === null ? '…' : `${scale.grams.toFixed(1)} g`}
        </Key>
      ) : null}
    </div>
  )
}
