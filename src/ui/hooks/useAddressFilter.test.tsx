/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { useAddressFilter } from './useAddressFilter'

const replace = jest.fn()

jest.mock('next/navigation', () => ({ useRouter: () => ({ replace }), usePathname: () => '/paints' }))

describe('a filter that lives in the address', () => {
  const NONE = { q: '', hue: '', sort: 'name' }
  const open = (filter = NONE) => renderHook(() => useAddressFilter(filter, { sort: 'name' }))
  beforeEach(() => {
    replace.mockClear()
    jest.useFakeTimers()
  })
  afterEach(() => jest.useRealTimers())

  it('waits for letters, asks once, and leaves out what is as usual', () => {
    const { result } = open()
    act(() => result.current.type('te'))
    act(() => jest.advanceTimersByTime(100))
    act(() => result.current.type('teal'))
    act(() => jest.advanceTimersByTime(179))
    expect(replace).not.toHaveBeenCalled()
    expect(result.current.q).toBe('teal')
    act(() => jest.advanceTimersByTime(1))
    expect(replace.mock.calls).toEqual([['/paints?q=teal', { scroll: false }]])
  })
  it('keeps what else is chosen, and an empty filter is the bare path', () => {
    const { result } = open({ ...NONE, hue: 'blue' })
    act(() => result.current.go({ sort: 'price' }))
    expect(replace).toHaveBeenLastCalledWith('/paints?hue=blue&sort=price', { scroll: false })
    act(() => result.current.go({ hue: '' }))
    expect(replace).toHaveBeenLastCalledWith('/paints', { scroll: false })
  })
  it('a click ends the wait, so that no search comes after the click and calls the visitor back', () => {
    const { result } = open()
    act(() => result.current.type('teal'))
    act(() => document.body.click())
    expect(replace).toHaveBeenCalledTimes(1)
    act(() => jest.advanceTimersByTime(1000))
    act(() => document.body.click())
    expect(replace).toHaveBeenCalledTimes(1)
  })
  it('asks nothing once the screen is gone', () => {
    const { result, unmount } = open()
    act(() => result.current.type('teal'))
    unmount()
    jest.advanceTimersByTime(1000)
    document.body.click()
    expect(replace).not.toHaveBeenCalled()
  })
})
