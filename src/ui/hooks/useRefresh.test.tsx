/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { RefreshHere, useRefreshing } from './useRefresh'

const refresh = jest.fn()
const router = { refresh }
jest.mock('next/navigation', () => ({ useRouter: () => router }))

beforeEach(() => {
  refresh.mockClear()
  jest.useFakeTimers()
})
afterEach(() => jest.useRealTimers())

describe('reading the page anew', () => {
  it('is done once for all that wish it together, and again for a later wish', () => {
    const { result } = renderHook(useRefreshing, { wrapper: RefreshHere })
    act(() => {
      result.current.refresh()
      result.current.refresh()
    })
    expect(refresh).not.toHaveBeenCalled()
    expect(result.current).toMatchObject({ wished: true, round: 0 })
    act(() => jest.advanceTimersByTime(40))
    expect(refresh).toHaveBeenCalledTimes(1)
    expect(result.current).toMatchObject({ wished: false, round: 1 })
    act(() => result.current.refresh())
    act(() => jest.advanceTimersByTime(40))
    expect(refresh).toHaveBeenCalledTimes(2)
  })
  it('is not done any more once the page is left, and nothing falls over where there is no page', () => {
    const { result, unmount } = renderHook(useRefreshing, { wrapper: RefreshHere })
    act(() => result.current.refresh())
    unmount()
    jest.advanceTimersByTime(100)
    expect(refresh).not.toHaveBeenCalled()
    renderHook(useRefreshing).result.current.refresh()
  })
})
