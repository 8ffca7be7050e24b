'use client'

import { wrap, type Remote } from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { Card } from '@/core/colour/photoSwatch'
import type { Patch } from '@/core/photo/card'
import type { Quad } from '@/core/surface/homography'
import type { Shape } from '@/core/surface/shapes'
import type { Poured } from '@/core/photo/measurePhoto'
import type { MeasuredPhoto, MeasurePhotoWorker, OpenedPhoto } from '@/workers/measurePhoto'

/** A photo that is open, as the page shows it. */
export interface ShownPhoto extends OpenedPhoto {
  readonly url: string
}

/** A measured photo, with addresses of its pictures. */
export interface ShownMeasures extends MeasuredPhoto {
  readonly flatUrl: string
  readonly apartUrl: string
}

/** Opens and measures photos off the page's thread; one worker as long as the page is there. */
export function useMeasure() {
  const remote = useRef<{ worker: Worker; api: Remote<MeasurePhotoWorker> }>(undefined)
  const urls = useRef<string[]>([])
  const [busy, setBusy] = useState<string>()
  const [problem, setProblem] = useState<string>()
  const [photo, setPhoto] = useState<ShownPhoto>()
  const [measured, setMeasured] = useState<ShownMeasures>()
  useEffect(
    () => () => {
      remote.current?.worker.terminate()
      remote.current = undefined
      urls.current.forEach((u) => URL.revokeObjectURL(u))
    },
    [],
  )
  const api = () => {
    if (!remote.current) {
      const worker = new Worker(new URL('../../../workers/measurePhoto.ts', import.meta.url), { type: 'module' })
      remote.current = { worker, api: wrap<MeasurePhotoWorker>(worker) }
    }
    return remote.current.api
  }
  const urlOf = (blob: Blob) => {
    const url = URL.createObjectURL(blob)
    urls.current.push(url)
    return url
  }
  const open = async (file: Blob) => {
    setBusy('Opening the photo…')
    setProblem(undefined)
    setPhoto(undefined)
    setMeasured(undefined)
    const answer = await api().open(file)
    setBusy(undefined)
    if (!answer.ok) setProblem(answer.message)
    else setPhoto({ ...answer.value, url: urlOf(answer.value.preview) })
  }
  const measure = async (
    quad: Quad,
    shape: Shape,
    poured: readonly Poured[],
    card: { patch: Patch; kind: Card } | null,
  ) => {
    setBusy('Measuring…')
    setProblem(undefined)
    setMeasured(undefined)
    const answer = await api().measure(quad, shape, poured, card)
    setBusy(undefined)
    if (!answer.ok) setProblem(answer.message)
    else setMeasured({ ...answer.value, flatUrl: urlOf(answer.value.flat), apartUrl: urlOf(answer.value.apart) })
  }
  return { open, measure, busy, problem, photo, measured, forget: () => setMeasured(undefined) }
}
