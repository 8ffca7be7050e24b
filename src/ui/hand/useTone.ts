'use client'

import { useEffect, useRef } from 'react'

/** Beeps a second at the end of the pour, and where they begin: this share of the target is still missing. */
const FASTEST = 8
const BEGINS = 0.25

/**
 * A tone near the target, for who looks at the stream and not at the screen: the beeps come closer, and become one
 * long note when it is reached.
 * @param left share of the target that is still missing; below zero: too much
 */
export function useTone(on: boolean, left: number | null): void {
  const audio = useRef<AudioContext>(undefined)
  useEffect(() => () => void audio.current?.close(), [])
  const near = on && left !== null && left <= BEGINS
  const step = near ? Math.max(0, Math.ceil((left / BEGINS) * 8)) : -1
  useEffect(() => {
    if (step < 0) return
    audio.current ??= new AudioContext()
    const context = audio.current
    const beep = (seconds: number, hertz: number) => {
      const [tone, gain] = [context.createOscillator(), context.createGain()]
      tone.frequency.value = hertz
      gain.gain.setValueAtTime(0.12, context.currentTime)
      gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds)
      tone.connect(gain).connect(context.destination)
      tone.start()
      tone.stop(context.currentTime + seconds)
    }
    if (step === 0) return beep(0.7, 880)
    beep(0.08, 560)
    const timer = setInterval(() => beep(0.08, 560), Math.max(1000 / FASTEST, 110 * step))
    return () => clearInterval(timer)
  }, [step])
}
