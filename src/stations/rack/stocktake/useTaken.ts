'use client'

import { useEffect, useState } from 'react'

/** What was weighed of one bottle. */
export interface Taken {
  readonly requestId: string
  readonly grossMg: number
  readonly tareMg: number
  readonly named?: 'spilled' | 'residue'
}

/** Weights of a stocktake under way, kept on this device until they are booked. */
export function useTaken(studioId: string) {
  const key = `fika-stocktake-${studioId}`
  const [taken, setTaken] = useState<Readonly<Record<string, Taken>>>({})
  const [ready, setReady] = useState(false)
  useEffect(() => {
    let kept: Record<string, Taken> = {}
    try {
      kept = JSON.parse(localStorage.getItem(key) ?? '{}') as Record<string, Taken>
    } catch {
      // What cannot be read is begun anew.
    }
    // Only the browser knows what it kept, so it comes after the first drawing.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setTaken(kept)
    setReady(true)
  }, [key])
  const set = (next: Readonly<Record<string, Taken>>) => {
    localStorage.setItem(key, JSON.stringify(next))
    setTaken(next)
  }
  return { taken, set, ready }
}
