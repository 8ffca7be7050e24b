'use client'

import { useEffect, useRef } from 'react'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

/** What a key of the hand does; it is told when the key was pressed, ms as events are stamped. */
export type Press = (at: number) => void

interface HandKeys {
  readonly next?: Press | undefined
  readonly undo?: Press | undefined
  /** What other letters do, by the small letter. */
  readonly letters?: Readonly<Record<string, Press | undefined>>
}

/** Space = next, Z = undo, and letters of a screen's own, wherever the hand is; not while something is typed. */
export function useHandKeys(keys: HandKeys): void {
  const latest = useRef(keys)
  useEffect(() => {
    latest.current = keys
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target) || e.repeat) return
      const { next, undo, letters } = latest.current
      const letter = e.key.toLowerCase()
      const act = letter === ' ' ? next : letter === 'z' ? undo : letters?.[letter]
      if (!act) return
      // A button that has the focus would be pressed by the same key.
      e.preventDefault()
      e.stopPropagation()
      act(e.timeStamp)
    }
    document.addEventListener('keydown', onKey, true)
    return () => document.removeEventListener('keydown', onKey, true)
  }, [])
}
