'use client'

import { useEffect } from 'react'

/** Keeps the screen on while something is under way, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: { release: () => Promise<void> } | undefined
    const take = () => {
      const wake = (
        navigator as { wakeLock?: { request: (type: 'screen') => Promise<{ release: () => Promise<void> }> } }
      ).wakeLock
      if (document.visibilityState === 'visible')
        wake?.request('screen').then(
          (l) => (lock = l),
          () => undefined,
        )
    }
    take()
    document.addEventListener('visibilitychange', take)
    return () => {
      document.removeEventListener('visibilitychange', take)
      void lock?.release()
    }
  }, [])
}
