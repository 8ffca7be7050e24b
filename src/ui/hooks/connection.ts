'use client'

import { useSyncExternalStore } from 'react'

/** How often it is asked whether Fika is back, ms. */
const ASK_MS = 2_000

/** Whether Fika answers, as far as this page knows. Nobody asks while nothing was lost. */
const state = {
  away: false,
  timer: undefined as ReturnType<typeof setTimeout> | undefined,
  watchers: new Set<() => void>(),
  waiting: new Set<() => void>(),
}

function turn(away: boolean): void {
  if (state.away === away) return
  state.away = away
  for (const tell of state.watchers) tell()
}

async function ask(): Promise<void> {
  try {
    const said = await fetch('/alive', { cache: 'no-store' })
    if (said.ok) {
      state.timer = undefined
      turn(false)
      const waiting = [...state.waiting]
      state.waiting.clear()
      for (const work of waiting) work()
      return
    }
  } catch {
    // Still away.
  }
  turn(true)
  state.timer = setTimeout(() => void ask(), ASK_MS)
}

/** Something got no answer: it is asked whether Fika is there, until it is. */
export function suspectAway(): void {
  if (state.timer) return
  state.timer = setTimeout(() => void ask(), 0)
}

/**
 * Does something once Fika answers again; at once where it does now.
 * @returns the way to let it be
 */
export function whenBack(work: () => void): () => void {
  state.waiting.add(work)
  suspectAway()
  return () => void state.waiting.delete(work)
}

function watch(tell: () => void): () => void {
  state.watchers.add(tell)
  window.addEventListener('offline', suspectAway)
  return () => {
    state.watchers.delete(tell)
    window.removeEventListener('offline', suspectAway)
  }
}

/** Whether Fika is away. */
export const useAway = (): boolean =>
  useSyncExternalStore(
    watch,
    () => state.away,
    () => false,
  )
