/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react'
import { FakeEventSource } from '../../../tests/support/eventSource'
import { useLive } from './useLive'

beforeEach(() => {
  FakeEventSource.install()
  jest.useFakeTimers()
})

afterEach(() => {
  jest.useRealTimers()
  Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true })
})

describe('what another device changed', () => {
  it('is looked at once for changes that come together, and only for what is asked about', () => {
    const changed = jest.fn()
    renderHook(() => useLive((topic) => topic === 'rack', changed))
    const line = FakeEventSource.last
    line.say({ topics: ['mixing 7'] })
    jest.advanceTimersByTime(1000)
    expect(changed).not.toHaveBeenCalled()
    line.say({ topics: ['rack'] })
    line.say({ topics: ['mixing 7', 'rack'] })
    jest.advanceTimersByTime(119)
    expect(changed).not.toHaveBeenCalled()
    jest.advanceTimersByTime(1)
    expect(changed).toHaveBeenCalledTimes(1)
    line.say({ topics: ['rack'] })
    jest.advanceTimersByTime(120)
    expect(changed).toHaveBeenCalledTimes(2)
  })
  it('is looked at by everyone when the server itself may have missed something', () => {
    const changed = jest.fn()
    renderHook(() => useLive((topic) => topic === 'run 7', changed))
    FakeEventSource.last.say({ topics: ['everything'] })
    jest.advanceTimersByTime(120)
    expect(changed).toHaveBeenCalledTimes(1)
    expect([...changed.mock.calls[0][0]]).toEqual([])
  })
  it('is looked at once as soon as the line is open, where it is asked for', () => {
    const [plain, first] = [jest.fn(), jest.fn()]
    renderHook(() => useLive(() => false, plain))
    FakeEventSource.last.onopen!()
    renderHook(() => useLive(() => false, first, true))
    FakeEventSource.last.onopen!()
    jest.advanceTimersByTime(120)
    expect([plain.mock.calls.length, first.mock.calls.length]).toEqual([0, 1])
  })
  it('is looked at when the line is back, for what was said meanwhile was not heard', () => {
    const changed = jest.fn()
    const { unmount } = renderHook(() => useLive(() => false, changed))
    FakeEventSource.last.onerror!()
    FakeEventSource.last.onopen!()
    jest.advanceTimersByTime(120)
    expect(changed).toHaveBeenCalledTimes(1)
    FakeEventSource.last.onerror!()
    FakeEventSource.last.onopen!()
    unmount()
    jest.advanceTimersByTime(500)
    expect(changed).toHaveBeenCalledTimes(1)
  })
})
