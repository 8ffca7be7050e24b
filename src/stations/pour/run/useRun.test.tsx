/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react'
import type { RunEvent } from '@/core/run/events'
import type { Run } from '@/db/runs/read'
import { FakeEventSource } from '../../../../tests/support/eventSource'
import { happened, load, runPlan } from '../../../../tests/support/run'
import { useRun } from './useRun'

const begun = (...events: RunEvent[]): Run => ({
  id: 'run',
  plan: runPlan(),
  events: happened(...events),
  revision: events.length,
  begunAt: '2026-11-28T10:00:00Z',
  bookedAt: null,
  isAside: false,
  bookings: 0,
})

/** A server that keeps each request once, and is away, or says no, for as long as it is told to. */
function server(start = begun()) {
  const kept = new Map<string, RunEvent>()
  const before = start.events.map((h) => h.event)
  const state = { away: false, says: undefined as string | undefined, answers: true, kept, before }
  const now = () => begun(...state.before, ...kept.values())
  global.fetch = jest.fn(async (_: unknown, init?: RequestInit) => {
    if (state.away) throw new TypeError('no way there')
    if (init?.method === 'POST') {
      const { requestId, event } = JSON.parse(String(init.body)) as { requestId: string; event: RunEvent }
      if (state.says) return { json: async () => ({ ok: false, code: 'Conflict', message: state.says }) }
      kept.set(requestId, event)
      if (!state.answers) throw new TypeError('the answer was lost')
    }
    return { json: async () => ({ ok: true, value: now() }) }
  }) as unknown as typeof fetch
  return state
}

beforeEach(() => {
  FakeEventSource.install()
  localStorage.clear()
})
const hook = (run = begun()) => renderHook(() => useRun(run))

describe('a pour on one device', () => {
  it('shows at once what a hand did, and sends it', async () => {
    const { kept } = server()
    const { result } = hook()
    act(() => void result.current.send(load(1, 'teal', 12_000)))
    expect(result.current.state.given.map((g) => g.ul)).toEqual([12_000])
    await waitFor(() => expect(result.current.waiting).toBe(0))
    expect([...kept.values()]).toHaveLength(1)
    expect(result.current.run.revision).toBe(1)
  })
  it('keeps it while the server is away, over a reload too, and sends it once in its order when it is back', async () => {
    const state = server()
    state.away = true
    const first = hook()
    act(() => void first.result.current.send(load(1, 'teal', 12_000)))
    act(() => void first.result.current.send(load(2, 'white', 5_000)))
    await waitFor(() => expect(first.result.current.trouble).toMatch('kept here and sent'))
    first.unmount()
    state.away = false
    const { result } = hook()
    expect(result.current.state.given.map((g) => g.ul)).toEqual([12_000, 5_000])
    await waitFor(() => expect(result.current.waiting).toBe(0))
    expect([...state.kept.values()].map((e) => (e as { ul: number }).ul)).toEqual([12_000, 5_000])
    expect(localStorage).toHaveLength(0)
  })
  it('a step an older Fika kept does not end the page: it is said, and the server refuses it', async () => {
    const state = server()
    const old = { requestId: 'r1', at: 1, event: { kind: 'load', cup: 1, with: [{ of: 'teal' }] } }
    const strange = { requestId: 'r2', at: 2, event: { kind: 'poured over', by: null } }
    for (const kept of [[old], [strange], [old, strange], 7, { a: 1 }, [null, 'x', { requestId: 3 }]]) {
      localStorage.setItem('fika pour run', JSON.stringify(kept))
      state.says = 'Fika does not know that step. Reload the page.'
      const { result, unmount } = hook()
      expect(result.current.state.given).toEqual([])
      await waitFor(() => expect(result.current.waiting).toBe(0))
      if (Array.isArray(kept) && kept[0] !== null) expect(result.current.trouble).toMatch('does not know that step')
      unmount()
      localStorage.clear()
    }
  })
  it('counts once what the server kept though its answer was lost', async () => {
    const state = server()
    state.answers = false
    const { result } = hook()
    act(() => void result.current.send(load(1, 'teal', 12_000)))
    await waitFor(() => expect(result.current.trouble).toMatch('does not answer'))
    state.answers = true
    await waitFor(() => expect(result.current.waiting).toBe(0), { timeout: 3_000 })
    expect(state.kept.size).toBe(1)
    expect(result.current.state.given).toHaveLength(1)
  })
  it('says why what fits nothing is not taken, and sends nothing', () => {
    server()
    const { result } = hook()
    act(() => expect(result.current.send(load(1, 'teal', 0))).toBe(false))
    expect(result.current.trouble).toMatch('more than nothing')
    expect(fetch).not.toHaveBeenCalled()
  })
  it('drops what the server refuses, says its sentence, and goes on', async () => {
    const state = server()
    state.says = 'This pour is booked.'
    const { result } = hook()
    act(() => void result.current.send(load(1, 'teal', 12_000)))
    await waitFor(() => expect(result.current.trouble).toBe('This pour is booked.'))
    expect([result.current.waiting, result.current.state.given.length]).toEqual([0, 0])
  })
  it('takes back only what has its number from the server', async () => {
    const state = server()
    state.away = true
    const { result } = hook()
    act(() => void result.current.send(load(1, 'teal', 12_000)))
    act(() => expect(result.current.send({ kind: 'undo', of: 1 })).toBe(false))
    expect(result.current.trouble).toMatch('still on its way')
  })
  it('shows what another device did as soon as it hears of it', async () => {
    const state = server()
    const { result } = hook()
    state.before.push(load(1, 'teal', 7_000))
    act(() => FakeEventSource.last.say({ topics: ['run run'] }))
    await waitFor(() => expect(result.current.state.given.map((g) => g.ul)).toEqual([7_000]))
  })
})
