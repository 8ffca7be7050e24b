/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { useTaken } from './useTaken'

const taken = { requestId: 'r1', grossMg: 130_000, tareMg: 30_000 }

describe('a stocktake under way', () => {
  beforeEach(() => localStorage.clear())

  it('is there again after a reload, of its own studio only', () => {
    const before = renderHook(() => useTaken('a'))
    act(() => before.result.current.set({ bottle: taken }))
    before.unmount()
    expect(renderHook(() => useTaken('a')).result.current).toMatchObject({ ready: true, taken: { bottle: taken } })
    expect(renderHook(() => useTaken('b')).result.current).toMatchObject({ ready: true, taken: {} })
  })
  it('begins anew where what was kept cannot be read', () => {
    localStorage.setItem('fika-stocktake-a', '{half')
    expect(renderHook(() => useTaken('a')).result.current).toMatchObject({ ready: true, taken: {} })
  })
})
