'use client'

import { useEffect, useRef } from 'react'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

/** Space = next, Z = undo, wherever the hand is; not while something is typed. */
export function useHandKeys(keys: { next?: (() => void) | undefined; undo?: (() => void) | undefined }): void {
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
      act()
    }
    document.addEventListener('keydown', onKey, true)
    return () => document.removeEventListener('keydown', onKey, true)
  }, [])
}
