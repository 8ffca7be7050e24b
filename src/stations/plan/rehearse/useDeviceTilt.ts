'use client'

import { useEffect, useRef, useState, useSyncExternalStore } from 'react'
import { withinReach } from './reach'

type Asks = typeof DeviceOrientationEvent & { requestPermission?: () => Promise<'granted' | 'denied'> }

const never = () => () => undefined
const hasSensor = () => typeof DeviceOrientationEvent !== 'undefined' && navigator.maxTouchPoints > 0

/** The tablet's own tilt, from how it was held when it was switched on. */
export function useDeviceTilt(onLean: (x: number, y: number) => void) {
  const can = useSyncExternalStore(never, hasSensor, () => false)
  const [on, setOn] = useState(false)
  const latest = useRef(onLean)
  useEffect(() => {
    latest.current = onLean
  })
  useEffect(() => {
    if (!on) return
    let zero: readonly [number, number] | undefined
    const turned = ({ beta, gamma }: DeviceOrientationEvent) => {
      if (beta === null || gamma === null) return
      zero ??= [gamma, beta]
      latest.current(withinReach(gamma - zero[0]), withinReach(beta - zero[1]))
    }
    window.addEventListener('deviceorientation', turned)
    return () => window.removeEventListener('deviceorientation', turned)
  }, [on])
  const toggle = () => {
    const asks = DeviceOrientationEvent as Asks
    if (on || !asks.requestPermission) setOn(!on)
    else void asks.requestPermission().then((answer) => setOn(answer === 'granted'))
  }
  return { can, on, toggle }
}
