'use client'

import { useCallback, useEffect, useRef, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import type { Mixing } from '@/db/mixings/mixings'
import { useLive } from '@/ui/hooks/useLive'

const NO_ANSWER = 'Fika does not answer. The step is kept here and sent as soon as it does.'
/** How soon what could not be sent is sent again, ms. */
const AGAIN_MS = 1_000

/**
 * A mix in the making on this device: its events as the server has them, and the one that is on its way. An event is
 * sent under one request id until the server has answered, so a lost answer, a reload or a double tap books once.
 */
export function useMixing<Plan, Event>(start: Mixing<Plan, Event>) {
  const [mixing, setMixing] = useState(start)
  const [onTheWay, setOnTheWay] = useState<Event>()
  const [trouble, setTrouble] = useState<string>()
  const busy = useRef(false)
  const alive = useRef(true)
  useEffect(() => {
    alive.current = true
    return () => {
      alive.current = false
    }
  }, [])
  const address = `/bench/mixing/${start.id}`

  const look = useCallback(async () => {
    const said = await fetch(address)
      .then((r) => r.json() as Promise<Answer<Mixing<Plan, Event>>>)
      .catch(() => undefined)
    if (alive.current && said?.ok) setMixing((m) => (said.value.revision >= m.revision ? said.value : m))
  }, [address])
  useLive(
    (topic) => topic === `mixing ${start.id}`,
    () => void look(),
  )

  const revision = useRef(start.revision)
  useEffect(() => {
    revision.current = mixing.revision
  }, [mixing.revision])

  const carry = useCallback(
    async (event: Event): Promise<boolean> => {
      busy.current = true
      setTrouble(undefined)
      setOnTheWay(event)
      const body = JSON.stringify({ requestId: uuidv7(), after: revision.current, event })
      try {
        for (;;) {
          const said = await fetch(address, { method: 'POST', body, headers: { 'content-type': 'application/json' } })
            .then((r) => r.json() as Promise<Answer<Mixing<Plan, Event>>>)
            .catch(() => undefined)
          if (!alive.current) return false
          if (said?.ok) {
            revision.current = said.value.revision
            setMixing(said.value)
            return true
          }
          if (said && said.code !== 'Unexpected' && said.code !== 'Busy') {
            setTrouble(said.message)
            await look()
            return false
          }
          setTrouble(NO_ANSWER)
          await new Promise((resolve) => setTimeout(resolve, AGAIN_MS))
          if (!alive.current) return false
        }
      } finally {
        busy.current = false
        if (alive.current) {
          setOnTheWay(undefined)
          setTrouble((t) => (t === NO_ANSWER ? undefined : t))
        }
      }
    },
    [address, look],
  )
  const turn = useRef<Promise<unknown>>(Promise.resolve())
  /**
   * @param patient waits for the event before it; otherwise a tap while one is on its way is the same tap, and dropped
   * @returns whether it was kept
   */
  const send = useCallback(
    (event: Event, patient = false): Promise<boolean> => {
      if (busy.current && !patient) return Promise.resolve(false)
      const mine = turn.current.then(() => carry(event))
      turn.current = mine
      return mine
    },
    [carry],
  )
  const events = onTheWay === undefined ? mixing.events : [...mixing.events, onTheWay]
  return { mixing, events, send, sending: onTheWay !== undefined, trouble, setTrouble }
}
