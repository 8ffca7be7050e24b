/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react'
import { useChunks } from './useChunks'

const replace = jest.fn()

jest.mock('next/navigation', () => ({ useRouter: () => ({ replace }), usePathname: () => '/paints' }))

describe('rows that come as they are seen', () => {
  const first = ['a', 'b', 'c']
  let asked: string[]
  let answers: ((rows: string[] | undefined) => void)[]
  beforeEach(() => {
    asked = []
    answers = []
    Object.assign(globalThis, {
      fetch: (address: string) => {
        asked.push(address)
        return new Promise((resolve) =>
          answers.push((rows) => resolve({ ok: rows !== undefined, json: () => Promise.resolve(rows) })),
        )
      },
    })
  })
  const open = (stamp = 1) =>
    renderHook((p: { stamp: number; first: string[] }) => useChunks('/rows?q=x', p.first, 8, p.stamp), {
      initialProps: { stamp, first },
    })

  it('asks for whole chunks, once each, never for the one that came with the page', async () => {
    const { result } = open()
    act(() => result.current.want(1, 4))
    act(() => result.current.want(3, 7))
    expect(asked).toEqual(['/rows?q=x&from=3&chunk=3', '/rows?q=x&from=6&chunk=3'])
    await act(async () => answers[1]!(['g', 'h']))
    expect([...result.current.rows]).toEqual(['a', 'b', 'c', undefined, undefined, undefined, 'g', 'h'])
    await act(async () => answers[0]!(['d', 'e', 'f']))
    expect(result.current.rows).toEqual(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'])
  })
  it('asks again for what did not come', async () => {
    const { result } = open()
    act(() => result.current.want(3, 3))
    await act(async () => answers[0]!(undefined))
    act(() => result.current.want(3, 3))
    expect(asked).toHaveLength(2)
  })
  it('keeps old rows in sight when things changed, asks anew, and drops answers to the old question', async () => {
    const { result, rerender } = open()
    act(() => result.current.want(3, 7))
    await act(async () => answers[0]!(['d', 'e', 'f']))
    rerender({ stamp: 2, first: ['A', 'b', 'c'] })
    expect(result.current.rows.slice(0, 6)).toEqual(['A', 'b', 'c', 'd', 'e', 'f'])
    act(() => result.current.want(3, 7))
    expect(asked).toHaveLength(4)
    await act(async () => answers[1]!(['old', 'old']))
    expect(result.current.rows[6]).toBeUndefined()
    await act(async () => answers[3]!(['G', 'H']))
    await waitFor(() => expect(result.current.rows.slice(6)).toEqual(['G', 'H']))
  })
})
