'use client'

import { useEffect } from 'react'
import { labelCells } from '@/ui/tables/labelCells'

/** Width up to which lists are drawn as cards; the style sheet says the same. */
const IN_THE_HAND = '(max-width: 600px)'

/** Keeps the cells of every list labelled while the screen is a small one, whatever is drawn anew. */
export function useCards(): void {
  useEffect(() => {
    const small = window.matchMedia(IN_THE_HAND)
    let frame = 0
    const label = () => {
      cancelAnimationFrame(frame)
      frame = requestAnimationFrame(() => labelCells(document))
    }
    const seen = new MutationObserver(label)
    const turn = () => {
      seen.disconnect()
      if (!small.matches) return
      seen.observe(document.body, { childList: true, subtree: true, characterData: true })
      label()
    }
    turn()
    small.addEventListener('change', turn)
    return () => {
      seen.disconnect()
      cancelAnimationFrame(frame)
      small.removeEventListener('change', turn)
    }
  }, [])
}
