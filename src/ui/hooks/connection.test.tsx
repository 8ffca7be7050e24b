/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { suspectAway, useAway, whenBack } from './connection'

let answers: (boolean | 'error')[] = []
const asked = jest.fn()
beforeEach(() => {
  jest.useFakeTimers()
  asked.mockClear()
  globalThis.fetch = jest.fn(async (path: string) => {
    asked(path)
    const next = answers.shift() ?? true
    if (next === 'error') throw new TypeError('Failed to fetch')
    return { ok: next }
  }) as never
})
afterEach(async () => {
  answers = []
  await act(() => jest.advanceTimersByTimeAsync(10_000))
  jest.useRealTimers()
})
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms))

it('nobody asks while nothing was lost; once something was, it is asked until there is an answer', async () => {
  const { result } = renderHook(() => useAway())
  await pass(20_000)
  expect(asked).not.toHaveBeenCalled()
  answers = ['error', false, true]
  suspectAway()
  suspectAway()
  await pass(0)
  expect(asked).toHaveBeenCalledTimes(1)
  expect(result.current).toBe(true)
  await pass(2_000)
  expect(result.current).toBe(true)
  await pass(2_000)
  expect(result.current).toBe(false)
  await pass(20_000)
  expect(asked).toHaveBeenCalledTimes(3)
})

it('what waits is done once, when it is back; at once where it never was away; and not where it was let be', async () => {
  const [done, letBe] = [jest.fn(), jest.fn()]
  answers = ['error', true]
  whenBack(done)
  whenBack(letBe)()
  await pass(0)
  expect(done).not.toHaveBeenCalled()
  await pass(2_000)
  expect(done).toHaveBeenCalledTimes(1)
  whenBack(done)
  await pass(0)
  expect(done).toHaveBeenCalledTimes(2)
  await pass(20_000)
  expect([done.mock.calls.length, letBe.mock.calls.length]).toEqual([2, 0])
})

it('a device that says it is offline is asked about, and not believed', async () => {
  const { result } = renderHook(() => useAway())
  act(() => void window.dispatchEvent(new Event('offline')))
  await pass(0)
  expect(asked).toHaveBeenCalledTimes(1)
  expect(result.current).toBe(false)
})
