'use client'

import { useState } from 'react'
import type { Loss } from '@/core/vessel/weighIn'
import type { Weight } from '@/db/bottles/stocktake'
import { useLive } from '@/ui/hooks/useLive'
import { useRefresh } from '@/ui/hooks/useRefresh'

/** The weights of a stocktake under way, as every device of the studio takes them. */
export function useWeights(first: readonly Weight[]) {
  const [weights, setWeights] = useState(first)
  const refresh = useRefresh()
  const without = (list: readonly Weight[], vesselId: string) => list.filter((w) => w.vesselId !== vesselId)
  useLive(
    (topic) => topic === 'rack' || topic === 'stocktake',
    (heard) => {
      fetch('/rack/stocktake/weights')
        .then((r) => (r.ok ? (r.json() as Promise<Weight[]>) : Promise.reject(new Error())))
        .then(setWeights)
        // The next change brings it.
        .catch(() => undefined)
      // What the books say has changed too: amounts, or the bottles themselves.
      if (heard.size === 0 || heard.has('rack')) refresh()
    },
  )
  return {
    weights,
    /** Says where the loss of a weight went; it keeps its place among the others. */
    name: (requestId: string, named: Loss) =>
      setWeights((old) => old.map((w) => (w.requestId === requestId ? { ...w, named } : w))),
    put: (w: Weight) => setWeights((old) => [...without(old, w.vesselId), w]),
    drop: (vesselId: string) => setWeights((old) => without(old, vesselId)),
    dropAll: (requestIds: readonly string[]) =>
      setWeights((old) => old.filter((w) => !requestIds.includes(w.requestId))),
  }
}
