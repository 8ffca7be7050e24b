/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { trySigma } from '@/core/consistency/levelTime'
import { useTries, type TimedMound } from './useTries'

let at = 0
beforeEach(() => {
  at = 0
  jest.spyOn(performance, 'now').mockImplementation(() => at)
})
afterEach(() => jest.restoreAllMocks())

function open() {
  const kept: TimedMound[] = []
  let clear!: () => void
  const { result } = renderHook(() =>
    useTries((reading, done) => {
      kept.push(reading)
      clear = done
    }),
  )
  const time = (seconds: number) => {
    act(() => result.current.press(at))
    at += 1000 * seconds
    act(() => result.current.press(at))
  }
  return { kept, view: () => result.current, time, clear: () => clear() }
}

describe('timing a mound', () => {
  it('takes the middle of three by itself, and lets them stand until they are cleared', () => {
    const { kept, view, time, clear } = open()
    expect(view()).toMatchObject({ turn: 'try 1 of 3', said: '', enough: undefined, undo: undefined })
    time(2.1)
    time(2.456)
    expect(view()).toMatchObject({ turn: 'try 3 of 3', said: '2.10 s, 2.46 s' })
    expect(kept).toEqual([])
    time(2.2)
    expect(kept).toMatchObject([{ levelTimeS: 2.2, tries: [2.1, 2.46, 2.2] }])
    expect(kept[0]!.sigma).toBeGreaterThan(0)
    expect(view().tries).toEqual([2.1, 2.46, 2.2])
    // It could not be kept: the same tries go again.
    act(() => view().enough!())
    expect(kept[1]).toEqual(kept[0])
    act(clear)
    expect(view().tries).toEqual([])
  })
  it('is enough after one, which is then less sure, and takes back a slip of the hand', () => {
    const { kept, view, time } = open()
    time(0.3)
    act(() => view().undo!())
    expect(view().turn).toBe('try 1 of 3')
    time(3)
    act(() => view().enough!())
    expect(kept).toEqual([{ levelTimeS: 3, sigma: expect.closeTo(trySigma(3), 9), tries: [3] }])
  })
})
