'use client'

import { useCallback, useRef, useState } from 'react'
import { settled, type Weight } from '@/core/device/settle'
import { useEventStream } from './useEventStream'

/** What the bench knows of the scale. Grams are gross: the scale's own tare is added back. */
export interface ScaleView {
  readonly here: boolean
  /** Why it is away, and what to do. */
  readonly why: string
  readonly name: string
  readonly standIn: boolean
  readonly resolutionG: number
  readonly overload: boolean
  /** Gross weight as it is now; null before the first, and over the capacity. */
  readonly grams: number | null
  /** Gross weight once it stands still. */
  readonly settledG: number | null
}

type News =
  | { kind: 'away'; why: string }
  | { kind: 'here'; name: string; resolutionG: number; standIn: boolean }
  | { kind: 'weight'; grams: number; tare: number; stable: boolean; overload: boolean; at: number }

const NOTHING: ScaleView = {
  here: false,
  why: 'Looking for the scale.',
  name: '',
  standIn: false,
  resolutionG: 0.1,
  overload: false,
  grams: null,
  settledG: null,
}
/** Readings kept for telling whether it stands still. */
const KEPT = 30

/**
 * Listens to the scale while the screen is seen. It comes back by itself when it was unplugged.
 * @param on false: nobody asks for it here yet
 */
export function useScale(on = true): ScaleView & { ask: (wish: object) => Promise<void> } {
  const [view, setView] = useState<ScaleView>(NOTHING)
  const readings = useRef<Weight[]>([])
  useEventStream(on ? '/scale' : null, {
    message: (data) => {
      const news = data as News
      if (news.kind === 'away') {
        readings.current = []
        setView({ ...NOTHING, why: news.why })
      } else if (news.kind === 'here') {
        const { name, resolutionG, standIn } = news
        setView((v) => ({ ...v, here: true, why: '', name, resolutionG, standIn }))
      } else {
        const weight = { grams: news.grams + news.tare, atMs: news.at, stable: news.stable }
        readings.current = news.overload ? [] : [...readings.current.slice(1 - KEPT), weight]
        setView((v) => ({
          ...v,
          overload: news.overload,
          grams: news.overload ? null : weight.grams,
          settledG: settled(readings.current, v.resolutionG) ?? null,
        }))
      }
    },
    lost: () => {
      readings.current = []
      setView({ ...NOTHING, why: 'Fika does not answer. Wait a moment; what was booked is kept.' })
    },
    back: () => undefined,
  })
  const ask = useCallback(async (wish: object) => {
    await fetch('/scale', {
      method: 'POST',
      body: JSON.stringify(wish),
      headers: { 'content-type': 'application/json' },
    }).catch(() => undefined)
  }, [])
  return { ...view, ask }
}
