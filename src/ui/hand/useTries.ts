'use client'

import { useState } from 'react'
import { timed } from '@/core/consistency/levelTime'
import { useStopwatch } from '@/ui/hooks/useStopwatch'

/** Tries that are taken by themselves before the middle is used. */
const TRIES = 3

/** A mound that was timed: the middle of its tries, σ of its logarithm, and the tries, s. */
export interface TimedMound {
  readonly levelTimeS: number
  readonly sigma: number
  readonly tries: number[]
}

/**
 * Times a mound on one key, three times or until it is enough.
 * @param keep takes the reading; the tries stay until `clear` is called, so that what could not be kept is not lost
 */
export function useTries(keep: (reading: TimedMound, clear: () => void) => void) {
  const [tries, setTries] = useState<readonly number[]>([])
  const take = (list: readonly number[]) => {
    const { levelTimeS, sigma } = timed(list)
    keep({ levelTimeS, sigma, tries: [...list] }, () => setTries([]))
  }
  const watch = useStopwatch((seconds) => {
    const list = [...tries, Math.round(100 * seconds) / 100]
    setTries(list)
    if (list.length >= TRIES) take(list)
  })
  return {
    ...watch,
    tries,
    /** `2.10 s, 2.24 s` */
    said: tries.map((t) => `${t.toFixed(2)} s`).join(', '),
    /** Which try is next, in words. */
    turn: `try ${Math.min(TRIES, tries.length + 1)} of ${TRIES}`,
    /** Uses what was timed so far; again where it could not be kept. */
    enough: tries.length ? () => take(tries) : undefined,
    undo: tries.length ? () => setTries(tries.slice(0, -1)) : undefined,
  }
}
