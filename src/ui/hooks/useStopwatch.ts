'use client'

import { useCallback, useEffect, useState } from 'react'

/**
 * A stopwatch on one key: press, press again. Times are those of the key: a busy page hears of it late.
 * @returns `press` takes the time stamp of the event that was the press, ms
 */
export function useStopwatch(onTry: (seconds: number) => void) {
  const [from, setFrom] = useState<number>()
  const [now, setNow] = useState(0)
  useEffect(() => {
    if (from === undefined) return
    let frame = requestAnimationFrame(function tick() {
      setNow(performance.now())
      frame = requestAnimationFrame(tick)
    })
    return () => cancelAnimationFrame(frame)
  }, [from])
  const press = useCallback(
    (at: number) => {
      if (from === undefined) {
        setNow(at)
        setFrom(at)
      } else {
        setFrom(undefined)
        // A bounce of the key is no try.
        if (at - from > 40) onTry((at - from) / 1000)
      }
    },
    [from, onTry],
  )
  return { running: from !== undefined, seconds: from === undefined ? 0 : Math.max(0, now - from) / 1000, press }
}
