/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react'
import { FakeEventSource, showPage } from '../../../tests/support/eventSource'
import { useEventStream } from './useEventStream'

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
