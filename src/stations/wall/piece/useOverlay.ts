'use client'

import { wrap } from 'comlink'
import { useEffect, useState } from 'react'
import type { Registered } from '@/core/photo/register'
import type { Shape } from '@/core/surface/shapes'
import type { MeasurePhotoWorker } from '@/workers/measurePhoto'

/** How the second of two flat photos lies over the first; undefined until that is found. */
export function useOverlay(one: string | undefined, two: string | undefined, shape: Shape): Registered | undefined {
  const [found, setFound] = useState<{ of: string; registered: Registered }>()
  const of = one && two && one !== two ? `${one} ${two}` : undefined
  useEffect(() => {
    if (!of) return
    const [a, b] = of.split(' ') as [string, string]
    const worker = new Worker(new URL('../../../workers/measurePhoto.ts', import.meta.url), { type: 'module' })
    const api = wrap<MeasurePhotoWorker>(worker)
    const lay = async () => {
      const [first, second] = await Promise.all([a, b].map(async (url) => (await fetch(url)).blob()))
      setFound({ of, registered: await api.overlay(first!, second!, shape) })
    }
    // What cannot be laid over shows as it is.
    lay().catch(() => undefined)
    return () => worker.terminate()
  }, [of, shape])
  return found?.of === of ? found?.registered : undefined
}
