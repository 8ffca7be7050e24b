'use client'

import { proxy, wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { StartTask } from '@/core/tilt/start'
import type { RehearsalWorker, Shown } from '@/workers/rehearsal'

/** What is said when the worker is gone: it holds nothing that the plan does not. */
const DIED = 'The rehearsal broke off. The plan is as it was: begin again.'

/**
 * A rehearsal in its worker: it computes and draws there, and the page only puts the pictures up.
 * @param task what is on the board; another one begins anew
 * @param canvas where pictures go
 * @param width of the pictures, pixels
 */
export function useRehearsal(task: StartTask | undefined, canvas: () => HTMLCanvasElement | null, width: number) {
  const held = useRef<{ made: Worker; remote: Remote<RehearsalWorker> } | null>(null)
  const [shown, setShown] = useState<Shown>()
  const [sentence, setSentence] = useState<string>()
  const [seed, setSeed] = useState(1)
  /** Counts the workers: a new one is made after one has died. */
  const [round, setRound] = useState(0)

  useEffect(() => {
    if (!task) return
    let mine = true
    const made = new Worker(new URL('../../../workers/rehearsal.ts', import.meta.url), { type: 'module' })
    const remote = wrap<RehearsalWorker>(made)
    held.current = { made, remote }
    const fail = () => {
      if (!mine) return
      made.terminate()
      held.current = null
      setSentence(DIED)
      setShown(undefined)
    }
    made.addEventListener('error', fail)
    const put = (picture: ImageBitmap | null, now: Shown | null) => {
      if (!mine) return
      const on = canvas()
      if (picture && on) {
        on.width = picture.width
        on.height = picture.height
        on.getContext('bitmaprenderer')!.transferFromImageBitmap(picture)
      }
      if (now) setShown(now)
    }
    remote.start(task, seed, width, proxy(put)).then((answer) => mine && setSentence(answer.message), fail)
    return () => {
      mine = false
      made.terminate()
      held.current = null
    }
    // The canvas is asked for when a picture comes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [task, seed, width, round])

  return {
    /** The worker, while there is one. */
    ask: <T>(work: (remote: Remote<RehearsalWorker>) => Promise<T>): Promise<T | undefined> =>
      held.current ? work(held.current.remote) : Promise.resolve(undefined),
    shown,
    sentence,
    died: sentence === DIED,
    /** From the start: the same pour, or another one as a hand would pour it. */
    again: (other: boolean) => {
      setSentence(undefined)
      if (other) setSeed((s) => s + 1)
      else setRound((r) => r + 1)
    },
  }
}
