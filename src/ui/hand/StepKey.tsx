'use client'

import { createContext, useContext } from 'react'
import { createPortal } from 'react-dom'
import { useHandKeys, type Press } from '../hooks/useHandKeys'
import styles from './hand.module.css'

/** Where the one big key is drawn, and whether something is on its way. */
export const KeyPlace = createContext<{ place: HTMLElement | null; busy: boolean }>({ place: null, busy: false })

/**
 * The one big key: what it does now. Each step draws its own, at the foot of the screen; Space presses it.
 * @param always works while something is on its way, like a stopwatch must
 */
export function StepKey({ label, next, always = false }: { label: string; next: Press; always?: boolean }) {
  const { place, busy } = useContext(KeyPlace)
  const held = busy && !always
  const press = held ? undefined : next
  useHandKeys({ next: press })
  if (!place) return null
  return createPortal(
    <button
      type="button"
      className={`guide-key ${styles.guideNext}`}
      data-testid="next"
      onClick={(e) => press?.(e.timeStamp)}
      disabled={held}
    >
      {label} <kbd>Space</kbd>
    </button>,
    place,
  )
}
