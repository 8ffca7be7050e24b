'use client'

import { useState } from 'react'

/**
 * An amount that is typed and then sent as an event. It leaves the field at once, so that the next can be typed, and
 * comes back where the event was not kept.
 * @param send waits its turn behind events on their way; says whether the event was kept
 */
export function useTyped<Event>(send: (event: Event) => Promise<boolean>) {
  const [typed, setTyped] = useState('')
  const carry = (event: Event) => {
    const was = typed
    setTyped('')
    void send(event).then((kept) => {
      if (!kept) setTyped((now) => now || was)
    })
  }
  return { typed, setTyped, carry }
}
