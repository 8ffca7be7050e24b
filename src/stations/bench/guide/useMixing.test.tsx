/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import type { Mixing } from '@/db/mixings/mixings'
import { FakeEventSource } from '../../../../tests/support/eventSource'
import { useMixing } from './useMixing'

type Step = string
interface Sent {
  requestId: string
  after: number
  event: Step
}

const mixing = (events: Step[]): Mixing<string, Step> =>
  ({ id: 'm1', revision: events.length, events, plan: 'plan' }) as unknown as Mixing<string, Step>

/** A server that keeps events, once each, and can be made not to answer. */
function open(events: Step[] = []) {
  const server = {
    events: [...events],
    sent: [] as Sent[],
    lost: 0,
    refuse: undefined as string | undefined,
    busy: 0,
    looks: 0,
  }
  const kept = new Map<string, number>()
  Object.assign(globalThis, {
    fetch: async (address: string, init?: { body: string }) => {
      expect(address).toBe('/bench/mixing/m1')
      if (!init) server.looks += 1
      else {
        const said = JSON.parse(init.body) as Sent
        server.sent.push(said)
        if (server.busy-- > 0) return { json: async () => ({ ok: false, code: 'Busy', message: 'Try again.' }) }
        if (server.refuse) return { json: async () => ({ ok: false, code: 'Changed', message: server.refuse }) }
        if (!kept.has(said.requestId)) kept.set(said.requestId, server.events.push(said.event))
        // The answer, not the booking, is lost.
        if (server.lost-- > 0) throw new Error('network')
      }
      return { json: async () => ({ ok: true, value: mixing(server.events) }) }
    },
  })
  const hook = renderHook(() => useMixing(mixing(events)))
  return { server, hook, view: () => hook.result.current }
}

beforeEach(() => {
  FakeEventSource.install()
  localStorage.clear()
  jest.useFakeTimers()
})
afterEach(() => jest.useRealTimers())

describe('a mix in the making on this device', () => {
  it('shows a step at once, and stands on what the server kept', async () => {
    const { server, view } = open(['shake'])
    let sent!: Promise<boolean>
    act(() => {
      sent = view().send('pour')
    })
    await act(async () => {
      await Promise.resolve()
    })
    await act(async () => expect(await sent).toBe(true))
    expect(view()).toMatchObject({ events: ['shake', 'pour'], sending: false, trouble: undefined })
    expect(server.sent).toMatchObject([{ after: 1, event: 'pour' }])
  })
  it('a busy server is asked again under the same request, and no step is lost', async () => {
    const { server, view } = open()
    server.busy = 2
    let sent!: Promise<boolean>
    act(() => {
      sent = view().send('pour')
    })
    await act(() => jest.advanceTimersByTimeAsync(2_500))
    await act(async () => expect(await sent).toBe(true))
    expect(server.events).toEqual(['pour'])
    expect(new Set(server.sent.map((s) => s.requestId)).size).toBe(1)
    expect(server.sent).toHaveLength(3)
  })
  it('a tap while a step is on its way is the same tap; a patient one waits its turn', async () => {
    const { server, view } = open()
    const results: boolean[] = []
    await act(async () => {
      results.push(...(await Promise.all([view().send('pour'), view().send('water', true)])))
    })
    await act(async () => {
      const first = view().send('stir')
      await Promise.resolve()
      results.push(await view().send('stir'))
      results.push(await first)
    })
    expect(results).toEqual([true, true, false, true])
    expect(server.events).toEqual(['pour', 'water', 'stir'])
    expect(server.sent.map((s) => s.after)).toEqual([0, 1, 2])
  })
  it('a lost answer is asked for again under the same request, and booked once', async () => {
    const { server, view } = open()
    server.lost = 2
    let sent!: Promise<boolean>
    await act(async () => {
      sent = view().send('pour')
      await jest.advanceTimersByTimeAsync(0)
    })
    expect(view()).toMatchObject({ sending: true, trouble: expect.stringContaining('does not answer') })
    expect(view().events).toEqual(['pour'])
    await act(async () => {
      await jest.advanceTimersByTimeAsync(2000)
      await sent
    })
    expect(new Set(server.sent.map((s) => s.requestId)).size).toBe(1)
    expect(server.sent).toHaveLength(3)
    expect(server.events).toEqual(['pour'])
    expect(view()).toMatchObject({ events: ['pour'], sending: false, trouble: undefined })
  })
  it('a refused step says why, and shows what the server has', async () => {
    const { server, view } = open()
    server.events.push('poured on another device')
    server.refuse = 'Another device was quicker. Look, then go on.'
    await act(async () => expect(await view().send('pour')).toBe(false))
    expect(view()).toMatchObject({ trouble: server.refuse, events: ['poured on another device'], sending: false })
  })
  it('follows another device, and never goes back to an older answer', async () => {
    const { server, view } = open(['shake'])
    server.events.push('pour')
    await act(async () => {
      FakeEventSource.last.say({ topics: ['mixing other'] })
      await jest.advanceTimersByTimeAsync(500)
    })
    expect(server.looks).toBe(0)
    await act(async () => {
      FakeEventSource.last.say({ topics: ['mixing m1'] })
      await jest.advanceTimersByTimeAsync(500)
    })
    expect(view().events).toEqual(['shake', 'pour'])
    server.events = ['shake']
    await act(async () => {
      FakeEventSource.last.say({ topics: ['mixing m1'] })
      await jest.advanceTimersByTimeAsync(500)
    })
    expect(server.looks).toBe(2)
    expect(view().events).toEqual(['shake', 'pour'])
  })
  it('a step that was not sent before a reload is sent after it, once, and only where nobody has gone on meanwhile', async () => {
    const { server, view, hook } = open()
    server.lost = 1
    await act(async () => {
      void view().send('pour')
      await jest.advanceTimersByTimeAsync(0)
    })
    hook.unmount()
    const again = open(['pour'])
    await act(() => jest.advanceTimersByTimeAsync(100))
    expect(again.server.sent.map(({ requestId, after }) => ({ requestId, after }))).toEqual([
      { requestId: server.sent[0]!.requestId, after: 0 },
    ])
    expect(localStorage).toHaveLength(0)
  })
  it('two tabs keep their steps beside each other', async () => {
    const [one, two] = [open(), open()]
    two.server.busy = 99
    await act(async () => {
      void one.view().send('pour')
      void two.view().send('stir')
      await jest.advanceTimersByTimeAsync(0)
    })
    const kept = JSON.parse(localStorage.getItem('fika mix m1')!) as { event: string }[]
    expect(kept.map((k) => k.event)).toEqual(['pour', 'stir'])
    one.hook.unmount()
    two.hook.unmount()
  })
  it('gives up sending when the screen is gone', async () => {
    const { server, view, hook } = open()
    server.lost = 99
    let sent!: Promise<boolean>
    await act(async () => {
      sent = view().send('pour')
      await jest.advanceTimersByTimeAsync(0)
    })
    hook.unmount()
    await jest.advanceTimersByTimeAsync(1000)
    expect(await sent).toBe(false)
    expect(server.sent).toHaveLength(1)
  })
})
