/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { useStopwatch } from './useStopwatch'

describe('a stopwatch on one key', () => {
  let at = 0
  beforeEach(() => {
    at = 1000
    jest.spyOn(performance, 'now').mockImplementation(() => at)
  })
  afterEach(() => jest.restoreAllMocks())

  it('times from press to press, by the key and not by the drawing', () => {
    const tries: number[] = []
    const { result } = renderHook(() => useStopwatch((s) => tries.push(s)))
    expect(result.current).toMatchObject({ running: false, seconds: 0 })
    act(() => result.current.press(at))
    expect(result.current.running).toBe(true)
    at += 2340
    act(() => result.current.press(at))
    expect(tries).toEqual([2.34])
    expect(result.current).toMatchObject({ running: false, seconds: 0 })
  })
  it('a bounce of the key is no try', () => {
    const tries: number[] = []
    const { result } = renderHook(() => useStopwatch((s) => tries.push(s)))
    act(() => result.current.press(at))
    at += 40
    act(() => result.current.press(at))
    expect(tries).toEqual([])
    act(() => result.current.press(at))
    at += 41
    act(() => result.current.press(at))
    expect(tries).toEqual([0.041])
  })
})
