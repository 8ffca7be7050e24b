/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { FakeEventSource, showPage } from '../../../tests/support/eventSource'
import { useEventStream } from './useEventStream'
import { useLive } from './useLive'
import { useScale } from './useScale'

beforeEach(() => {
  FakeEventSource.install()
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
  Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true })
})

describe('a line of events', () => {
  const listen = (path: string | null) => {
    const heard: unknown[] = []
    const hook = renderHook(
      (p: { path: string | null }) =>
        useEventStream(p.path, {
          message: (d) => heard.push(d),
          lost: () => heard.push('lost'),
          back: () => heard.push('back'),
        }),
      { initialProps: { path } },
    )
    return { heard, ...hook }
  }

  it('hands on what is said, and says when the line is lost and back', () => {
    const { heard } = listen('/live')
    const line = FakeEventSource.last
    expect(line.url).toBe('/live')
    line.onopen!()
    line.say({ topics: ['rack'] })
    line.onerror!()
    line.onopen!()
    expect(heard).toEqual([{ topics: ['rack'] }, 'lost', 'back'])
  })
  it('lets the line go while the page is not seen, and opens another when it is', () => {
    const { heard } = listen('/live')
    const first = FakeEventSource.last
    showPage(false)
    expect(first.closed).toBe(true)
    expect(heard).toEqual(['lost'])
    showPage(true)
    expect(FakeEventSource.open).toHaveLength(2)
    FakeEventSource.last.onopen!()
    expect(heard).toEqual(['lost', 'back'])
  })
  it('opens none in a page that is not seen yet, none without a path, and closes with the screen', () => {
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true })
    const { rerender, unmount } = listen('/scale')
    expect(FakeEventSource.open).toHaveLength(0)
    showPage(true)
    rerender({ path: null })
    expect(FakeEventSource.open.map((l) => l.closed)).toEqual([true])
    rerender({ path: '/scale' })
    unmount()
    expect(FakeEventSource.last.closed).toBe(true)
    showPage(false)
    showPage(true)
    expect(FakeEventSource.open).toHaveLength(2)
  })
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
