/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react'
import { useKept } from './useKept'

describe('useKept', () => {
  it('stays the same object while it says the same, and is a new one when it does not', () => {
    const cups = (ul?: number) => (ul === undefined ? undefined : { cups: [{ ul, of: null }] })
    const { result, rerender } = renderHook(({ value }) => useKept(value), { initialProps: { value: cups(1) } })
    const first = result.current
    expect(first).toEqual({ cups: [{ ul: 1, of: null }] })
    rerender({ value: cups(1) })
    expect(result.current).toBe(first)
    rerender({ value: cups(2) })
    expect(result.current).toEqual({ cups: [{ ul: 2, of: null }] })
    rerender({ value: cups() })
    expect(result.current).toBeUndefined()
  })
})
