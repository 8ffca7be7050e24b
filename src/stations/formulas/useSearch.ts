'use client'

import { proxy, wrap, type Remote } from 'comlink'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { Answered, ColourWorker } from '@/workers/colour'

/** What is said where the search itself failed: not the maker's fault, and nothing is lost. */
const BROKEN =
  'The search stopped by a fault of Fika’s own. What you chose is still here: change one paint and try again.'

/** A search in the colour worker: how far it is, what it found, and a way to call it off. */
export function useSearch<T>() {
  const worker = useRef<{ remote: Remote<ColourWorker>; end: () => void }>(undefined)
  const [progress, setProgress] = useState<number>()
  const [trouble, setTrouble] = useState<string>()
  const [found, setFound] = useState<T>()
  useEffect(() => () => worker.current?.end(), [])
  const remote = () => {
    if (!worker.current) {
      const made = new Worker(new URL('../../workers/colour.ts', import.meta.url), { type: 'module' })
      worker.current = { remote: wrap<ColourWorker>(made), end: () => made.terminate() }
    }
    return worker.current.remote
  }
  const search = useCallback(
    async (ask: (w: Remote<ColourWorker>, onProgress: (share: number) => void) => Promise<Answered<T>>) => {
      setProgress(0)
      setTrouble(undefined)
      // What a search reports may arrive after its answer.
      let over = false
      const start = performance.now()
      const said = await ask(
        remote(),
        proxy((share: number) => {
          if (!over) setProgress(share)
        }),
      ).catch((): Answered<T> => ({ ok: false, message: BROKEN }))
      over = true
      performance.measure('colour search', { start })
      // Called off: whoever called it off says what comes next.
      if (said === null) return
      setProgress(undefined)
      // Drawing what was found may take a while, and is interrupted for whatever is typed meanwhile.
      if (said.ok) startTransition(() => setFound(said.value))
      else setTrouble(said.message)
    },
    [],
  )
  const cancel = () => {
    void worker.current?.remote.cancel()
    setProgress(undefined)
  }
  return { search, cancel, progress, trouble, found }
}
