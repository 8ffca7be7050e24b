/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { FakeEventSource } from '../../../tests/support/eventSource'
import { useScale } from './useScale'

beforeEach(() => {
  FakeEventSource.install()
  jest.useFakeTimers()
})

afterEach(() => {
  jest.useRealTimers()
  Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true })
})

describe('the scale, as a screen sees it', () => {
  const here = { kind: 'here', name: 'Table scale', resolutionG: 0.1, standIn: true }
  const weight = (grams: number, at: number, more: object = {}) => ({
    kind: 'weight',
    grams,
    tare: 0,
    stable: true,
    overload: false,
    at,
    ...more,
  })
  const open = () => {
    const hook = renderHook(() => useScale())
    return { view: () => hook.result.current, say: (d: unknown) => act(() => FakeEventSource.last.say(d)), hook }
  }

  it('is looked for, is here, and shows gross weight whatever its own tare is', () => {
    const { view, say } = open()
    expect(view()).toMatchObject({ here: false, why: 'Looking for the scale.', grams: null })
    say(here)
    expect(view()).toMatchObject({ here: true, why: '', name: 'Table scale', standIn: true })
    say(weight(12, 0, { tare: 30 }))
    expect(view().grams).toBe(42)
  })
  it('knows when it stands still, and when it no longer does', () => {
    const { view, say } = open()
    say(here)
    for (let at = 0; at <= 1200; at += 100) say(weight(50, at))
    expect(view().settledG).toBe(50)
    say(weight(55, 1300, { stable: false }))
    expect(view()).toMatchObject({ grams: 55, settledG: null })
  })
  it('shows no number over its capacity, and begins anew after it', () => {
    const { view, say } = open()
    say(here)
    for (let at = 0; at <= 1200; at += 100) say(weight(50, at))
    say(weight(5001, 1300, { overload: true }))
    expect(view()).toMatchObject({ overload: true, grams: null, settledG: null })
    say(weight(50, 1400))
    expect(view()).toMatchObject({ overload: false, grams: 50, settledG: null })
  })
  it('says why it is away, when Fika does not answer, and comes back by itself', () => {
    const { view, say } = open()
    say(here)
    say(weight(50, 0))
    say({ kind: 'away', why: 'The scale is unplugged.' })
    expect(view()).toMatchObject({ here: false, why: 'The scale is unplugged.', grams: null })
    say(here)
    expect(view().here).toBe(true)
    act(() => FakeEventSource.last.onerror!())
    expect(view()).toMatchObject({ here: false, why: expect.stringContaining('does not answer') })
  })
  it('is asked over one address, and asked for by nobody while off', async () => {
    const fetched = jest.fn().mockResolvedValue({ ok: true })
    Object.assign(globalThis, { fetch: fetched })
    const { view } = open()
    await view().ask({ tare: true })
    expect(fetched).toHaveBeenCalledWith('/scale', expect.objectContaining({ method: 'POST', body: '{"tare":true}' }))
    fetched.mockRejectedValueOnce(new Error('gone'))
    await expect(view().ask({ tare: true })).resolves.toBeUndefined()
    FakeEventSource.install()
    renderHook(() => useScale(false))
    expect(FakeEventSource.open).toHaveLength(0)
  })
})
