'use client'

import { useCallback } from 'react'
import type { Mixing } from '@/db/mixings/mixings'
import { useOutbox } from '@/ui/hooks/useOutbox'

const NO_ANSWER = 'Fika does not answer. The step is kept here and sent as soon as it does.'
const isStep = <Event>(kept: unknown): kept is Event => kept !== undefined && kept !== null

/** A mix in the making on this device: its events as the server has them, and those on their way, which count at once. */
export function useMixing<Plan, Event>(start: Mixing<Plan, Event>) {
  const { doc, waiting, latest, push, trouble, setTrouble } = useOutbox<Mixing<Plan, Event>, Event>(start, {
    kept: 'mix',
    topic: `mixing ${start.id}`,
    address: `/bench/mixing/${start.id}`,
    noAnswer: NO_ANSWER,
    isEvent: isStep,
  })
  /**
   * @param patient waits for the event before it; otherwise a tap while one is on its way is the same tap, and dropped
   * @returns whether it was kept
   */
  const send = useCallback(
    (event: Event, patient = false): Promise<boolean> =>
      latest.current.waiting.length && !patient ? Promise.resolve(false) : push(event),
    [latest, push],
  )
  const events = waiting.length ? [...doc.events, ...waiting.map((w) => w.event)] : doc.events
  return { mixing: doc, events, send, sending: waiting.length > 0, trouble, setTrouble }
}
