'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { FikaError } from '@/core/errors'
import type { Happened, RunEvent } from '@/core/run/events'
import { runState } from '@/core/run/runState'
import { whatStayed } from '@/core/run/stayed'
import type { Run } from '@/db/runs/read'
import { useLive } from '@/ui/hooks/useLive'

const NO_ANSWER = 'Fika does not answer. What you do is kept here and sent as soon as it does.'
const OLDER = 'A step kept on this device could not be read, so it is not shown. Note again what it was.'
/** How soon what could not be sent is sent again, ms. */
const AGAIN_MS = 1_000

/** An event on its way, under the request it was first sent with. */
interface Waiting {
  readonly requestId: string
  readonly at: number
  readonly event: RunEvent
}

/** Whether what a browser kept is an event on its way at all; whether it fits, the server says by its schema. */
const isWaiting = (kept: unknown): kept is Waiting => {
  const { requestId, at, event } = (kept ?? {}) as Partial<Waiting>
  return typeof requestId === 'string' && typeof at === 'number' && typeof event?.kind === 'string'
}

/** What waits to be sent outlives a reload and a tablet that sleeps. */
const store = (id: string) => ({
  read(): Waiting[] {
    try {
      const kept = JSON.parse(localStorage.getItem(`fika pour ${id}`) ?? '[]') as unknown
      return Array.isArray(kept) ? kept.filter(isWaiting) : []
    } catch {
      return []
    }
  },
  write(list: readonly Waiting[]) {
    try {
      if (list.length) localStorage.setItem(`fika pour ${id}`, JSON.stringify(list))
      else localStorage.removeItem(`fika pour ${id}`)
    } catch {
      // A browser that keeps nothing still sends everything.
    }
  },
})

/**
 * A run on this device: its events as the server has them, and those on their way, which count at once. Each is sent under
 * one request id until the server has answered, in the order they came; a lost answer, a reload or a double tap counts once.
 */
export function useRun(start: Run) {
  const [run, setRun] = useState(start)
  const [waiting, setWaiting] = useState<readonly Waiting[]>([])
  const [trouble, setTrouble] = useState<string>()
  const latest = useRef({ run: start, waiting: [] as readonly Waiting[] })
  const sending = useRef(false)
  const alive = useRef(true)
  const address = `/pour/run/${start.id}/events`
  const kept = useMemo(() => store(start.id), [start.id])

  const setBoth = useCallback(
    (next: { run?: Run; waiting?: readonly Waiting[] }) => {
      const { run: r, waiting: w } = { ...latest.current, ...next }
      latest.current = { run: r.revision >= latest.current.run.revision ? r : latest.current.run, waiting: w }
      setRun(latest.current.run)
      setWaiting(w)
      kept.write(w)
    },
    [kept],
  )
  const ask = useCallback(
    (init?: RequestInit) =>
      fetch(address, init)
        .then((r) => r.json() as Promise<Answer<Run>>)
        .catch(() => undefined),
    [address],
  )
  const look = useCallback(async () => {
    const said = await ask()
    if (alive.current && said?.ok) setBoth({ run: said.value })
  }, [ask, setBoth])
  useLive(
    (topic) => topic === `run ${start.id}`,
    () => void look(),
    true,
  )

  const carry = useCallback(async () => {
    if (sending.current) return
    sending.current = true
    try {
      while (alive.current) {
        const [first, ...rest] = latest.current.waiting
        if (!first) return
        const body = JSON.stringify({ requestId: first.requestId, event: first.event })
        const said = await ask({ method: 'POST', body, headers: { 'content-type': 'application/json' } })
        if (!alive.current) return
        if (said?.ok) {
          // Those that came meanwhile stay behind it.
          setBoth({ run: said.value, waiting: latest.current.waiting.filter((w) => w.requestId !== first.requestId) })
          setTrouble((t) => (t === NO_ANSWER ? undefined : t))
        } else if (said && said.code !== 'Unexpected' && said.code !== 'Busy') {
          setBoth({ waiting: rest })
          setTrouble(said.message)
          await look()
        } else {
          setTrouble(NO_ANSWER)
          await new Promise((resolve) => setTimeout(resolve, AGAIN_MS))
        }
      }
    } finally {
      sending.current = false
    }
  }, [ask, look, setBoth])

  useEffect(() => {
    alive.current = true
    // What was not sent before a reload goes on from here.

    setBoth({ waiting: kept.read() })
    void carry()
    return () => {
      alive.current = false
    }
  }, [carry, kept, setBoth])

  const { state, events, broken } = useMemo(() => stateWith(run, waiting), [run, waiting])

  /** @returns whether it fits what stands; where it does not, why is said and nothing is sent */
  const send = useCallback(
    (event: RunEvent): boolean => {
      if ((refersTo(event) ?? 0) > latest.current.run.revision) {
        setTrouble('That is still on its way. Try again once Fika has answered.')
        return false
      }
      const more = [...latest.current.waiting, { requestId: uuidv7(), at: Date.now(), event }]
      const tried = stateWith(latest.current.run, more)
      if (tried.broken !== undefined) {
        setTrouble(tried.broken)
        return false
      }
      setTrouble((t) => (t === NO_ANSWER ? t : undefined))
      setBoth({ waiting: more })
      void carry()
      return true
    },
    [carry, setBoth],
  )
  return { run, events, state, send, waiting: waiting.length, trouble: trouble ?? broken, say: setTrouble }
}

/** The number of the event that an event is about; only the server gives numbers that stay. */
const refersTo = (e: RunEvent): number | undefined =>
  e.kind === 'undo' ? e.of : e.kind === 'remedy' ? e.bother : e.kind === 'worked' ? e.remedy : undefined

/** What stands with the events on their way; without those where they do not fit, and why. */
function stateWith(run: Run, waiting: readonly Waiting[]) {
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
