'use client'

import { useEffect, useRef } from 'react'
import { useRefresh } from './useRefresh'

const CHANNEL = 'fika studio'

/**
 * Keeps all tabs of a browser in one studio: they share one session, and one that still showed the studio before would
 * write what is typed on it into the one that is open now. It reads itself anew instead.
 */
export function useOneStudio(studioId: string): void {
  const refresh = useRef(useRefresh())
  useEffect(() => {
    if (typeof BroadcastChannel === 'undefined') return
    const line = new BroadcastChannel(CHANNEL)
    line.onmessage = (e: MessageEvent<unknown>) => {
      if (e.data !== studioId) refresh.current()
    }
    line.postMessage(studioId)
    return () => line.close()
  }, [studioId])
}
