'use client'

import { useEffect, useRef } from 'react'
import { useEventStream } from './useEventStream'

/** Changes that come close together are looked at once, ms. */
const GATHER_MS = 120

/**
 * Calls `changed` when another device has changed something of the studio that `isMine` is about; also when the line
 * was lost and is back, since what was said meanwhile was not heard.
 */
export function useLive(isMine: (topic: string) => boolean, changed: () => void): void {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const soon = () => {
    timer.current ??= setTimeout(() => {
      timer.current = undefined
      changed()
    }, GATHER_MS)
  }
  useEventStream('/live', {
    message: (data) => {
      if ((data as { topics: string[] }).topics.some(isMine)) soon()
    },
    lost: () => undefined,
    back: soon,
  })
}
