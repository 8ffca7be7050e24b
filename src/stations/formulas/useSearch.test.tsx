/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import type { Answered } from '@/workers/colour'
import { useSearch } from './useSearch'

const cancelled = jest.fn()
let ended = 0
jest.mock('comlink', () => ({ wrap: () => ({ cancel: cancelled }), proxy: (f: unknown) => f }))
Object.assign(globalThis, {
  Worker: class {
    terminate() {
      ended += 1
    }
  },
})

function open() {
  // The page reports how long a search took; jsdom's clock cannot.
  performance.measure = jest.fn()
  const hook = renderHook(() => useSearch<string>())
  let settle!: (said: Answered<string>) => void
  let report!: (share: number) => void
  const begin = () =>
    act(async () => {
      void hook.result.current.search((_, onProgress) => {
        report = onProgress
        return new Promise((resolve) => (settle = resolve))
      })
    })
  return {
    hook,
    view: () => hook.result.current,
    begin,
    report: (share: number) => act(async () => report(share)),
    settle: (said: Answered<string>) => act(async () => settle(said)),
  }
}

describe('a search in the colour worker', () => {
  beforeEach(() => {
    ended = 0
    cancelled.mockClear()
  })

  it('says how far it is, then what it found; what is reported after the answer is dropped', async () => {
    const { view, begin, report, settle } = open()
    expect(view()).toMatchObject({ progress: undefined, found: undefined })
    await begin()
    expect(view().progress).toBe(0)
    await report(0.4)
    expect(view().progress).toBe(0.4)
    await settle({ ok: true, value: 'three ways' })
    await report(0.9)
    expect(view()).toMatchObject({ progress: undefined, found: 'three ways', trouble: undefined })
  })
  it('a refusal is a sentence, what was found before stays, and the next search clears it', async () => {
    const { view, begin, settle } = open()
    await begin()
    await settle({ ok: true, value: 'three ways' })
    await begin()
    await settle({ ok: false, message: 'Allow more paints.' })
    expect(view()).toMatchObject({ trouble: 'Allow more paints.', found: 'three ways', progress: undefined })
    await begin()
    expect(view().trouble).toBeUndefined()
  })
  it('a search that breaks is said in one sentence, and the bar goes', async () => {
    const { hook, view } = open()
    await act(() => hook.result.current.search(() => Promise.reject(new TypeError('x is undefined'))))
    expect(view().progress).toBeUndefined()
    expect(view().trouble).toMatch(/stopped by a fault.*try again/)
  })
  it('called off it is over at once, tells the worker, and keeps what was found before', async () => {
    const { view, begin, settle } = open()
    await begin()
    await settle({ ok: true, value: 'three ways' })
    await begin()
    act(() => view().cancel())
    expect(cancelled).toHaveBeenCalledTimes(1)
    expect(view().progress).toBeUndefined()
    await settle(null)
    expect(view()).toMatchObject({ found: 'three ways', progress: undefined, trouble: undefined })
  })
  it('the worker ends with the screen, and one that was never asked is never made', async () => {
    const idle = open()
    idle.hook.unmount()
    expect(ended).toBe(0)
    const { hook, begin } = open()
    await begin()
    hook.unmount()
    expect(ended).toBe(1)
  })
})
