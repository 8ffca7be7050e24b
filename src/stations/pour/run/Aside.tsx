'use client'

import { useEffect, useState, type ReactNode } from 'react'
import { createPortal } from 'react-dom'

/** What stands beside the step: its picture and the scale. */
export function Aside({ children }: { children: ReactNode }) {
  const [place, setPlace] = useState<HTMLElement | null>(null)
  // eslint-disable-next-line react-hooks/set-state-in-effect -- the place is drawn by the frame round this step
  useEffect(() => setPlace(document.getElementById('run-aside')), [])
  return place ? createPortal(children, place) : null
}
