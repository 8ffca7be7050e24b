'use client'

import { useCallback, useMemo } from 'react'
import { FikaError } from '@/core/errors'
import type { Happened, RunEvent } from '@/core/run/events'
import { runState } from '@/core/run/runState'
import { whatStayed } from '@/core/run/stayed'
import type { Run } from '@/db/runs/read'
import { useOutbox, type Waiting } from '@/ui/hooks/useOutbox'

const NO_ANSWER = 'Fika does not answer. What you do is kept here and sent as soon as it does.'
const OLDER = 'A step kept on this device could not be read, so it is not shown. Note again what it was.'
const isRunEvent = (kept: unknown): kept is RunEvent =>
  typeof (kept as { kind?: unknown } | null | undefined)?.kind === 'string'

/** A run on this device: its events as the server has them, and those on their way, which count at once. */
export function useRun(start: Run) {
  const {
    doc: run,
    waiting,
    latest,
    push,
    trouble,
    setTrouble,
  } = useOutbox<Run, RunEvent>(start, {
    kept: 'pour',
    topic: `run ${start.id}`,
    address: `/pour/run/${start.id}/events`,
    noAnswer: NO_ANSWER,
    isEvent: isRunEvent,
  })
  const { state, events, broken } = useMemo(() => stateWith(run, waiting), [run, waiting])

  /** @returns whether it fits what stands; where it does not, why is said and nothing is sent */
  const send = useCallback(
    (event: RunEvent): boolean => {
      const now = latest.current
      if ((refersTo(event) ?? 0) > now.doc.revision) {
        setTrouble('That is still on its way. Try again once Fika has answered.')
        return false
      }
      const next = { requestId: '', at: Date.now(), after: now.doc.revision, event }
      const tried = stateWith(now.doc, [...now.waiting, next])
      if (tried.broken !== undefined) {
        setTrouble(tried.broken)
        return false
      }
      void push(event)
      return true
    },
    [latest, push, setTrouble],
  )
  return { run, events, state, send, waiting: waiting.length, trouble: trouble ?? broken, say: setTrouble }
}

/** The number of the event that an event is about; only the server gives numbers that stay. */
const refersTo = (e: RunEvent): number | undefined =>
  e.kind === 'undo' ? e.of : e.kind === 'remedy' ? e.bother : e.kind === 'worked' ? e.remedy : undefined

/** What stands with the events on their way; without those where they do not fit, and why. */
function stateWith(run: Run, waiting: readonly Waiting<RunEvent>[]) {
  const numbered = waiting.map(({ at, event }, i): Happened => ({ n: run.revision + 1 + i, at, event }))
  const events = [...run.events, ...numbered]
  try {
    const state = runState(run.plan, events)
    whatStayed(run.plan, state)
    return { state, events, broken: undefined }
  } catch (error) {
    // What an older Fika kept here may be of no shape this one knows: it is sent all the same, and the server says so.
    const broken = error instanceof FikaError ? error.message : OLDER
    return { state: runState(run.plan, run.events), events: run.events, broken }
  }
}
