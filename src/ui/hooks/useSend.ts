'use client'

import { App } from 'antd'
import { useEffect, useRef, useState, useTransition } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { whenBack } from './connection'
import { useRefreshing } from './useRefresh'
import { DOOR_SAYS, type Answer, type Refusal } from '@/core/answer'

/** What the front said before the action was reached; undefined where nobody said anything. */
function saidBefore(error: unknown): string | undefined {
  const said = error instanceof Error ? error.message : ''
  return said.startsWith(DOOR_SAYS) ? said.slice(DOOR_SAYS.length) : undefined
}

const NO_ANSWER =
  'Fika did not answer. Nothing is lost: it is sent again by itself when Fika is back, and counts once. You can also try again.'

/**
 * Sends a server action. A request id is made once per intention and kept until it succeeded, so that a double tap
 * with a wet glove, or a retry after a lost answer, books once. What got no answer is sent again by itself as soon as
 * Fika is back, for as long as its form is there. A refusal is kept to be shown beside what was typed.
 * @param options `quiet`: what is sent changes nothing that this page reads from the server
 */
export function useSend<T>({ quiet = false }: { quiet?: boolean } = {}) {
  // Not a transition's: that one ends a good while after a refusal is on the screen, and a key touched between is lost.
  const [sending, setSending] = useState(0)
  /** What comes of it leads to another page: until that is there, a second tap would be another request. */
  const [leading, lead] = useTransition()
  const [refusal, setRefusal] = useState<Refusal>()
  const [requestId, setRequestId] = useState(() => uuidv7())
  const { message } = App.useApp()
  const { refresh, wished, round } = useRefreshing()
  const [sentIn, setSentIn] = useState<number>()
  const letBe = useRef<() => void>(undefined)
  useEffect(() => () => letBe.current?.(), [])
  const send = (action: (requestId: string) => Promise<Answer<T>>, done?: (value: T) => void, said?: string) => {
    letBe.current?.()
    setRefusal(undefined)
    setSending((n) => n + 1)
    void (async () => {
      try {
        const answer = await action(requestId)
        if (answer.ok) {
          setRequestId(uuidv7())
          if (said) void message.success(said)
          lead(() => done?.(answer.value))
          // What the page shows has changed with it, and until it shows that, what was sent is not done.
          if (!quiet) {
            setSentIn(round)
            refresh()
          }
        } else {
          // What was refused was not booked, and the next try may carry other amounts; of what got no answer it is not known.
          if (answer.code !== 'Unexpected' && answer.code !== 'Busy') setRequestId(uuidv7())
          setRefusal(answer)
        }
      } catch (error) {
        const before = saidBefore(error)
        setRefusal({ ok: false, code: 'Unexpected', message: before ?? NO_ANSWER })
        if (before === undefined) letBe.current = whenBack(() => send(action, done, said))
      }
      setSending((n) => n - 1)
    })()
  }
  return {
    send,
    pending: sending > 0 || leading || (wished && sentIn === round),
    refusal,
    clear: () => setRefusal(undefined),
  }
}
