'use client'

import { useEffect, useRef } from 'react'

/** How far down a page may be for its heading to be under the station bar, px. */
const UNDER_BAR = 90

/**
 * Shows the top of a page that was just opened. The router leaves the scrolling as it was where the heading is still
 * inside the window, though the station bar lies over it. Going back keeps its place.
 */
export function useTopOfPage(path: string): void {
  const wentBack = useRef(false)
  const seen = useRef(path)
  useEffect(() => {
    const back = () => {
      wentBack.current = true
    }
    window.addEventListener('popstate', back)
    return () => window.removeEventListener('popstate', back)
  }, [])
  useEffect(() => {
    if (seen.current === path) return
    seen.current = path
    if (!wentBack.current && window.scrollY > 0 && window.scrollY <= UNDER_BAR) window.scrollTo(0, 0)
    wentBack.current = false
  }, [path])
}
