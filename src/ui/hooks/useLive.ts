'use client'

import { useEffect, useRef } from 'react'
import { useEventStream } from './useEventStream'

/** Changes that come close together are looked at once, ms. */
const GATHER_MS = 120

/**
 * Calls `changed` when another device has changed something of the studio that `isMine` is about; also when a line,
 * this device's or the server's to the database,
 * was lost and is back, since what was said meanwhile was not heard.
 * @param atFirst looks once as soon as the line is open as well: a change between reading the page and that is not heard
 * @param changed is given what was heard of; nothing where the line was lost: then anything may have changed
 */
export function useLive(
  isMine: (topic: string) => boolean,
  changed: (heard: ReadonlySet<string>) => void,
  atFirst = false,
): void {
  const heard = useRef(new Set<string>())
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => () => clearTimeout(timer.current), [])
  const soon = () => {
    timer.current ??= setTimeout(() => {
      timer.current = undefined
      const topics = heard.current
      heard.current = new Set()
      changed(topics)
    }, GATHER_MS)
  }
  const anything = () => {
    heard.current = new Set()
    soon()
  }
  useEventStream('/live', {
    message: (data) => {
      const { topics } = data as { topics: string[] }
      if (topics.includes('everything')) return anything()
      const mine = topics.filter(isMine)
      for (const topic of mine) heard.current.add(topic)
      if (mine.length) soon()
    },
    lost: () => undefined,
    opened: () => {
      if (atFirst) soon()
    },
    back: anything,
  })
}
