'use client'

import { useCallback, useRef, useState } from 'react'
import type { Answer, Refusal } from '@/core/answer'
import type { BatchState } from '@/db/formulas/batchSchema'
import { useRefresh } from '@/ui/hooks/useRefresh'

/** How a batch is sent: as it stands, with the revision it stands on. */
export type SendBatch = (
  revision: number,
  state: BatchState,
  finished: boolean,
) => Promise<Answer<{ revision: number }>>

const NO_ANSWER = 'Fika did not answer. Nothing is lost: tick or read once more in a moment.'

/**
 * A batch on this device, kept one change after another: what is ticked while a change is under way goes out with the
 * next, on the revision that came back. A refusal stops and is shown.
 */
export function useKept(start: BatchState, revision: number, send: SendBatch) {
  const [state, setState] = useState(start)
  const [pending, setPending] = useState(false)
  const [refusal, setRefusal] = useState<Refusal>()
  const refresh = useRefresh()
  const here = useRef({ state: start, revision, finished: false, wanted: false, busy: false })
  const drain = useCallback(async () => {
    const mine = here.current
    if (mine.busy) return
    mine.busy = true
    setPending(true)
    while (mine.wanted) {
      mine.wanted = false
      const answer = await send(mine.revision, mine.state, mine.finished).catch((): Refusal => ({
        ok: false,
        code: 'Unexpected',
        message: NO_ANSWER,
      }))
      setRefusal(answer.ok ? undefined : answer)
      if (!answer.ok) break
      mine.revision = answer.value.revision
    }
    mine.busy = false
    setPending(false)
    refresh()
  }, [send, refresh])
  const keep = (change: (now: BatchState) => BatchState, finished = false) => {
    const mine = here.current
    mine.state = change(mine.state)
    mine.finished = finished
    mine.wanted = true
    setState(mine.state)
    void drain()
  }
  return { state, keep, pending, refusal }
}
