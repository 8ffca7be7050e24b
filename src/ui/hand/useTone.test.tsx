/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react'
import { useTone } from './useTone'

const played: { hertz: number; seconds: number }[] = []
let closed = 0

class FakeAudio {
  currentTime = 0
  destination = {}
  createOscillator() {
    const tone = {
      frequency: { value: 0 },
      connect: (x: unknown) => x,
      start: () => undefined,
      stop: (seconds: number) => played.push({ hertz: tone.frequency.value, seconds }),
    }
    return tone
  }
  createGain() {
    const gain = { setValueAtTime: () => undefined, exponentialRampToValueAtTime: () => undefined }
    return { gain, connect: (x: unknown) => x }
  }
  close() {
    closed += 1
  }
}

beforeEach(() => {
  played.length = 0
  closed = 0
  Object.assign(globalThis, { AudioContext: FakeAudio })
  jest.useFakeTimers()
})
afterEach(() => jest.useRealTimers())

/** Beeps within a second. */
function beeps(left: number, on = true): number {
  const { unmount } = renderHook(() => useTone(on, left))
  jest.advanceTimersByTime(999)
  unmount()
  return played.splice(0).length
}

describe('the tone near the target', () => {
  it('is silent far from it, without a weight, and where it is off', () => {
    expect(beeps(0.26)).toBe(0)
    expect(beeps(0.1, false)).toBe(0)
    renderHook(() => useTone(true, null))
    expect(played).toHaveLength(0)
  })
  it('beeps closer and closer, eight a second at the most', () => {
    const [far, mid, near] = [beeps(0.25), beeps(0.12), beeps(0.01)]
    expect(far).toBeGreaterThan(0)
    expect(mid).toBeGreaterThan(far)
    expect(near).toBeGreaterThan(mid)
    expect(near).toBeLessThanOrEqual(8)
  })
  it('is one long higher note when it is reached, and also when it is passed; ends with the screen', () => {
    const { rerender, unmount } = renderHook((p: { left: number }) => useTone(true, p.left), {
      initialProps: { left: 0.01 },
    })
    played.length = 0
    rerender({ left: 0 })
    jest.advanceTimersByTime(2000)
    expect(played).toEqual([{ hertz: 880, seconds: 0.7 }])
    rerender({ left: -0.2 })
    jest.advanceTimersByTime(2000)
    expect(played).toHaveLength(1)
    unmount()
    expect(closed).toBe(1)
  })
})
