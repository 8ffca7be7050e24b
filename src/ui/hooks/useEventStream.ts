'use client'

import { useEffect, useRef } from 'react'

interface Handlers {
  /** One event, as it was sent. */
  message(data: unknown): void
  /** The line is lost, or was let go because the screen is not seen. */
  lost(): void
  /** The line is open for the first time; what was said since the page was read was not heard. */
  opened?(): void
  /** The line is back; what was said meanwhile was not heard. */
  back(): void
}

/**
 * Listens to a stream of server-sent events while the screen is seen. A browser gives a place no more than six lines
 * over all its tabs, so a tab in the background lets its own go.
 * @param path null: listens to nothing
 */
export function useEventStream(path: string | null, handlers: Handlers): void {
  const latest = useRef(handlers)
  useEffect(() => {
    latest.current = handlers
  })
  useEffect(() => {
    if (path === null) return
    let source: EventSource | undefined
    let wasLost = false
    const lose = () => {
      wasLost = true
      latest.current.lost()
    }
    const open = () => {
      if (source || document.visibilityState !== 'visible') return
      source = new EventSource(path)
      source.onmessage = (e: MessageEvent<string>) => latest.current.message(JSON.parse(e.data))
      source.onerror = lose
      source.onopen = () => {
        if (wasLost) latest.current.back()
        else latest.current.opened?.()
        wasLost = false
      }
    }
    const seen = () => {
      if (document.visibilityState === 'visible') return open()
      source?.close()
      source = undefined
      lose()
    }
    open()
    document.addEventListener('visibilitychange', seen)
    return () => {
      source?.close()
      document.removeEventListener('visibilitychange', seen)
    }
  }, [path])
}
