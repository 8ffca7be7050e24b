'use client'

import { useEffect, useRef, useState } from 'react'
import type { RunState } from '@/core/run/runState'
import styles from './run.module.css'

/** A timer that has rung stays to be seen for so long, ms. */
const SEEN_MS = 5 * 60_000

/** Timers that run: they go by the clock of the event, so that a reload or another device shows the same, and they ring. */
export function Timers({ state }: { state: Pick<RunState, 'timers'> }) {
  const [now, setNow] = useState<number>()
  const rung = useRef(new Set<number>())
  const count = state.timers.length
  useEffect(() => {
    if (count === 0) return
    const tick = () => setNow(Date.now())
    tick()
    const timer = setInterval(tick, 500)
    return () => clearInterval(timer)
  }, [count])
  const shown = now === undefined ? [] : state.timers.filter((t) => now < t.until + SEEN_MS)
  useEffect(() => {
    for (const t of shown)
      if (now! >= t.until && now! < t.until + 5_000 && !rung.current.has(t.n)) {
        rung.current.add(t.n)
        ring()
      }
  })
  return (
    <>
      {shown.map((t) => (
        <div
          key={t.n}
          className={styles.timer}
          role="timer"
          data-testid="timer"
          data-rings={now! >= t.until ? '' : undefined}
        >
          <b>{now! >= t.until ? 'Now' : left(t.until - now!)}</b>
          <span>{t.what}</span>
        </div>
      ))}
    </>
  )
}

const left = (ms: number) => {
  const s = Math.ceil(ms / 1000)
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
}

/** Three notes, and a shake where the device can. */
function ring(): void {
  navigator.vibrate?.([300, 150, 300])
  const context = new AudioContext()
  for (const at of [0, 0.35, 0.7]) {
    const [tone, gain] = [context.createOscillator(), context.createGain()]
    tone.frequency.value = 740
    gain.gain.setValueAtTime(0.15, context.currentTime + at)
    gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + at + 0.3)
    tone.connect(gain).connect(context.destination)
    tone.start(context.currentTime + at)
    tone.stop(context.currentTime + at + 0.3)
  }
  setTimeout(() => void context.close(), 1_500)
}
