import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { FoundOrder, OrderTask } from '@/core/layering/cupOrder'
import type { CupOrderWorker } from '@/workers/cupOrder'

/** Looks for the cheapest order of a cup beside the page; the newest question is the one that is answered. */
export function useCupOrder(): {
  find: (task: OrderTask) => void
  found: FoundOrder | undefined
  sentence: string | undefined
  clear: () => void
} {
  const worker = useRef<{ made: Worker; remote: Remote<CupOrderWorker> } | null>(null)
  const turn = useRef(0)
  const [found, setFound] = useState<FoundOrder>()
  const [sentence, setSentence] = useState<string>()
  useEffect(() => () => worker.current?.made.terminate(), [])
  const clear = () => {
    turn.current++
    setFound(undefined)
    setSentence(undefined)
  }
  const find = (task: OrderTask) => {
    if (!worker.current) {
      const made = new Worker(new URL('../../../workers/cupOrder.ts', import.meta.url), { type: 'module' })
      worker.current = { made, remote: wrap<CupOrderWorker>(made) }
    }
    const mine = ++turn.current
    void worker.current.remote.order(task).then((answer) => {
      if (mine !== turn.current) return
      setFound(answer.ok ? answer.value : undefined)
      setSentence(answer.ok ? undefined : answer.message)
    })
  }
  return { find, found, sentence, clear }
}
