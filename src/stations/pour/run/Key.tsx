'use client'

import type { ReactNode } from 'react'
import styles from './run.module.css'

/** A key for a gloved hand: 56 px and more. `on` is shown as pressed; undefined where it is no switch. */
export function Key({
  on,
  press,
  disabled,
  label,
  children,
}: {
  on?: boolean | undefined
  press: () => void
  disabled?: boolean
  label?: string
  children: ReactNode
}) {
  return (
    <button
      type="button"
      className={styles.key}
      aria-pressed={on}
      aria-label={label}
      disabled={disabled}
      onClick={press}
    >
      {children}
    </button>
  )
}

/** A thing to tick off, as a row as wide as a hand. */
export function Tick({ on, press, children }: { on: boolean; press: () => void; children: ReactNode }) {
  return (
    <button type="button" className={styles.key} role="checkbox" aria-checked={on} onClick={press}>
      <span className={styles.box} aria-hidden="true">
        {on ? '✓' : ''}
      </span>
      <span>{children}</span>
    </button>
  )
}
