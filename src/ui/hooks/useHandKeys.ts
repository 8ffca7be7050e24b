'use client'

import { useEffect, useRef } from 'react'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

/** What a key of the hand does; it is told when the key was pressed, ms as events are stamped. */
export type Press = (at: number) => void

/** Space = next, Z = undo, wherever the hand is; not while something is typed. */
export function useHandKeys(keys: { next?: Press | undefined; undo?: Press | undefined }): void {
  const latest = useRef(keys)
  useEffect(() => {
    latest.current = keys
  })
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target) || e.repeat) return
      const act = e.key === ' ' ? latest.current.next : e.key.toLowerCase() === 'z' ? latest.current.undo : undefined
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
