'use client'

import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { useLive } from './useLive'

/** How soon what could not be sent is sent again, ms. */
const AGAIN_MS = 1_000

/** An event on its way, under the request it was first sent with. */
export interface Waiting<Event> {
  readonly requestId: string
  /** When it happened, ms since 1970. */
  readonly at: number
  /** Of what is worked on, the revision it was meant for. */
  readonly after: number
  readonly event: Event
}

/** What events are noted of. */
interface Document {
  readonly id: string
  readonly revision: number
}

interface Way<Event> {
  /** Word under which the browser keeps what waits, and under which others hear of it. */
  readonly kept: string
  readonly topic: string
  /** GET answers the document, POST takes `{ requestId, after, event }` and answers the document with it. */
  readonly address: string
  /** What is said while nobody answers. */
  readonly noAnswer: string
  /** Whether what a browser kept is an event at all; whether it fits, the server says by its schema. */
  readonly isEvent: (kept: unknown) => kept is Event
}

/** What waits to be sent outlives a reload and a tablet that sleeps; each tab adds and takes away its own. */
const keptUnder = <Event>(key: string, isEvent: Way<Event>['isEvent']) => {
  const isWaiting = (kept: unknown): kept is Waiting<Event> => {
    const { requestId, at, event } = (kept ?? {}) as Partial<Waiting<Event>>
    return typeof requestId === 'string' && typeof at === 'number' && isEvent(event)
  }
  const read = (): Waiting<Event>[] => {
    try {
      const kept = JSON.parse(localStorage.getItem(key) ?? '[]') as unknown
      return Array.isArray(kept) ? kept.filter(isWaiting) : []
    } catch {
      return []
    }
  }
  const write = (list: readonly Waiting<Event>[]) => {
    try {
      if (list.length) localStorage.setItem(key, JSON.stringify(list))
      else localStorage.removeItem(key)
    } catch {
      // A browser that keeps nothing still sends everything.
    }
  }
  return {
    read,
    add: (w: Waiting<Event>) => write([...read(), w]),
    remove: (requestId: string) => write(read().filter((w) => w.requestId !== requestId)),
  }
}

/**
 * Something that is worked on from several devices: as the server has it, and the events of this device on their way.
 * Each is sent under one request id until the server has answered, in the order they came, so a lost answer, a busy
 * server, a reload or a double tap counts once. What the server refuses is dropped, and its sentence said.
 */
export function useOutbox<Doc extends Document, Event>(start: Doc, way: Way<Event>) {
  const { address, topic, noAnswer } = way
  const [doc, setDoc] = useState(start)
  const [waiting, setWaiting] = useState<readonly Waiting<Event>[]>([])
  const [trouble, setTrouble] = useState<string>()
  const latest = useRef({ doc: start, waiting: [] as readonly Waiting<Event>[] })
  const sending = useRef(false)
  const alive = useRef(true)
  const told = useRef(new Map<string, (recorded: boolean) => void>())
  const kept = useMemo(() => keptUnder(`fika ${way.kept} ${start.id}`, way.isEvent), [way.kept, way.isEvent, start.id])

  const show = useCallback((next: { doc?: Doc; waiting?: readonly Waiting<Event>[] }) => {
    const { doc: d, waiting: w } = { ...latest.current, ...next }
    // Never back to an older answer.
    latest.current = { doc: d.revision >= latest.current.doc.revision ? d : latest.current.doc, waiting: w }
    setDoc(latest.current.doc)
    setWaiting(w)
  }, [])
  const ask = useCallback(
    (init?: RequestInit) =>
      fetch(address, init)
        .then((r) => r.json() as Promise<Answer<Doc>>)
        .catch(() => undefined),
    [address],
  )
  const look = useCallback(async () => {
    const said = await ask()
    if (alive.current && said?.ok) show({ doc: said.value })
  }, [ask, show])
  useLive(
    (heard) => heard === topic,
    () => void look(),
    true,
  )

  const carry = useCallback(async () => {
    if (sending.current) return
    sending.current = true
    const done = (w: Waiting<Event>, recorded: boolean, now?: Doc) => {
      kept.remove(w.requestId)
      // Those that came meanwhile stay behind it.
      const rest = latest.current.waiting.filter((x) => x.requestId !== w.requestId)
      show(now ? { doc: now, waiting: rest } : { waiting: rest })
      told.current.get(w.requestId)?.(recorded)
      told.current.delete(w.requestId)
    }
    try {
      while (alive.current) {
        const [first] = latest.current.waiting
        if (!first) return
        const { requestId, after, event } = first
        const body = JSON.stringify({ requestId, after, event })
        const said = await ask({ method: 'POST', body, headers: { 'content-type': 'application/json' } })
        if (!alive.current) return
        if (said?.ok) {
          done(first, true, said.value)
          setTrouble((t) => (t === noAnswer ? undefined : t))
        } else if (said && said.code !== 'Unexpected' && said.code !== 'Busy') {
          done(first, false)
          setTrouble(said.message)
          await look()
        } else {
          setTrouble(noAnswer)
          await new Promise((resolve) => setTimeout(resolve, AGAIN_MS))
        }
      }
    } finally {
      sending.current = false
    }
  }, [ask, kept, look, noAnswer, show])

  useEffect(() => {
    alive.current = true
    const waits = told.current
    // What was not sent before a reload goes on from here.
    show({ waiting: kept.read() })
    void carry()
    return () => {
      alive.current = false
      for (const tell of waits.values()) tell(false)
      waits.clear()
    }
  }, [carry, kept, show])

  /** Sends an event. @returns whether the server has recorded it; false too where the page was left before it answered */
  const push = useCallback(
    (event: Event): Promise<boolean> => {
      const { doc: now, waiting: ahead } = latest.current
      const one: Waiting<Event> = { requestId: uuidv7(), at: Date.now(), after: now.revision + ahead.length, event }
      setTrouble((t) => (t === noAnswer ? t : undefined))
      kept.add(one)
      show({ waiting: [...ahead, one] })
      const recorded = new Promise<boolean>((resolve) => told.current.set(one.requestId, resolve))
      void carry()
      return recorded
    },
    [carry, kept, noAnswer, show],
  )
  return { doc, waiting, latest, push, trouble, setTrouble }
}
