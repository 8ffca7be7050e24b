/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import type { BatchState } from '@/db/formulas/batchSchema'
import { useKept, type SendBatch } from './useKept'

const start = { paintUl: 1_200_000, done: [] as string[], boxed: 0 } as unknown as BatchState
const tick = (what: string) => (now: BatchState) => ({ ...now, done: [...now.done, what] })

function open() {
  const sent: { revision: number; done: readonly string[]; finished: boolean }[] = []
  const answers: ((a: Awaited<ReturnType<SendBatch>> | Error) => void)[] = []
  const send: SendBatch = (revision, state, finished) => {
    sent.push({ revision, done: state.done, finished })
    return new Promise((resolve, reject) => answers.push((a) => (a instanceof Error ? reject(a) : resolve(a))))
  }
  const { result } = renderHook(() => useKept(start, 4, send))
  return { sent, result, answer: (a: Awaited<ReturnType<SendBatch>> | Error) => act(async () => answers.shift()!(a)) }
}

describe('a batch on this device', () => {
  it('is shown at once and kept one change after another, each on the revision that came back', async () => {
    const { sent, result, answer } = open()
    act(() => result.current.keep(tick('split')))
    act(() => result.current.keep(tick('add 1')))
    act(() => result.current.keep(tick('add 2'), true))
    expect(result.current).toMatchObject({ pending: true, state: { done: ['split', 'add 1', 'add 2'] } })
    expect(sent).toEqual([{ revision: 4, done: ['split'], finished: false }])
    await answer({ ok: true, value: { revision: 5 } })
    // What was ticked meanwhile goes out together.
    expect(sent[1]).toEqual({ revision: 5, done: ['split', 'add 1', 'add 2'], finished: true })
    await answer({ ok: true, value: { revision: 6 } })
    expect(sent).toHaveLength(2)
    expect(result.current.pending).toBe(false)
  })
  it('a refusal stops and is shown, what was ticked stays; the next tick tries again', async () => {
    const { sent, result, answer } = open()
    act(() => result.current.keep(tick('split')))
    await answer({ ok: false, code: 'Conflict', message: 'Somebody else changed this batch. Look at it again.' })
    expect(result.current).toMatchObject({
      pending: false,
      refusal: { code: 'Conflict' },
      state: { done: ['split'] },
    })
    act(() => result.current.keep(tick('stir')))
    await answer(new Error('network'))
    expect(result.current.refusal?.message).toContain('Nothing is lost')
    act(() => result.current.keep(tick('read')))
    await answer({ ok: true, value: { revision: 5 } })
    expect(result.current.refusal).toBeUndefined()
    expect(sent.map((s) => s.revision)).toEqual([4, 4, 4])
    expect(sent[2]!.done).toEqual(['split', 'stir', 'read'])
  })
})
