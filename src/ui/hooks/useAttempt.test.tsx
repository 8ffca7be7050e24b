/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { Invalid } from '@/core/errors'
import { attemptOr, useAttempt } from './useAttempt'

describe('reading what was typed', () => {
  it('turns what cannot be read into a sentence, and lets real faults through', () => {
    const said: (string | undefined)[] = []
    attemptOr(
      (s) => said.push(s),
      () => {
        throw new Invalid('Type it like 60 ml.')
      },
    )
    expect(said).toEqual([undefined, 'Type it like 60 ml.'])
    expect(() =>
      attemptOr(
        () => undefined,
        () => {
          throw new TypeError('broken')
        },
      ),
    ).toThrow('broken')
  })
  it('keeps the sentence until the next try or until it is cleared', () => {
    const { result } = renderHook(() => useAttempt())
    const fail = () =>
      result.current.attempt(() => {
        throw new Invalid('Type a number.')
      })
    act(fail)
    expect(result.current.unreadable).toBe('Type a number.')
    act(() => result.current.attempt(() => undefined))
    expect(result.current.unreadable).toBeUndefined()
    act(fail)
    act(() => result.current.clear())
    expect(result.current.unreadable).toBeUndefined()
  })
})
