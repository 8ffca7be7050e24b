/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react'
import { clearTray, drawMarks, openTray, toggleOnTray, useTray, type TrayItem } from '@/ui/frame/tray'
import { useAddressFilter } from './useAddressFilter'
import { useChunks } from './useChunks'

const replace = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ replace }), usePathname: () => '/paints' }))

const item = (id: string): TrayItem => ({ kind: 'paint', id, label: `Paint ${id}`, hex: '#136a78', sheen: 'satin' })

describe('the tray', () => {
  beforeEach(() => {
    localStorage.clear()
    openTray('nobody')
    clearTray()
  })
  it('is of one studio, and is there again on this device', () => {
    openTray('a')
    act(() => toggleOnTray(item('teal')))
    const { result } = renderHook(() => useTray())
    expect(result.current.map((i) => i.id)).toEqual(['teal'])
    act(() => openTray('b'))
    expect(result.current).toEqual([])
    act(() => openTray('a'))
    expect(result.current).toEqual([item('teal')])
  })
  it('takes off what is on it, holds twelve, and the oldest makes room', () => {
    openTray('full')
    const { result } = renderHook(() => useTray())
    act(() => Array.from({ length: 13 }, (_, i) => toggleOnTray(item(String(i)))))
    expect(result.current.map((i) => i.id)).toEqual(Array.from({ length: 12 }, (_, i) => String(i + 1)))
    act(() => toggleOnTray(item('5')))
    expect(result.current).toHaveLength(11)
    act(clearTray)
    expect(result.current).toEqual([])
    expect(localStorage.getItem('fika-tray-full')).toBe('[]')
  })
  it('begins empty where what was kept cannot be read', () => {
    localStorage.setItem('fika-tray-broken', '{not json')
    openTray('broken')
    expect(renderHook(() => useTray()).result.current).toEqual([])
  })
  it('marks buttons that were drawn later', () => {
    openTray('marks')
    toggleOnTray(item('teal'))
    document.body.innerHTML = ['teal', 'navy'].map((id) => `<b data-tray='${JSON.stringify({ id })}'></b>`).join('')
    drawMarks()
    expect([...document.querySelectorAll('b')].map((b) => b.getAttribute('aria-pressed'))).toEqual(['true', 'false'])
  })
})

describe('a filter that lives in the address', () => {
  const NONE = { q: '', hue: '', sort: 'name' }
  const open = (filter = NONE) => renderHook(() => useAddressFilter(filter, { sort: 'name' }))
  beforeEach(() => {
    replace.mockClear()
    jest.useFakeTimers()
  })
  afterEach(() => jest.useRealTimers())

  it('waits for letters, asks once, and leaves out what is as usual', () => {
    const { result } = open()
    act(() => result.current.type('te'))
    act(() => jest.advanceTimersByTime(100))
    act(() => result.current.type('teal'))
    act(() => jest.advanceTimersByTime(179))
    expect(replace).not.toHaveBeenCalled()
    expect(result.current.q).toBe('teal')
    act(() => jest.advanceTimersByTime(1))
    expect(replace.mock.calls).toEqual([['/paints?q=teal', { scroll: false }]])
  })
  it('keeps what else is chosen, and an empty filter is the bare path', () => {
    const { result } = open({ ...NONE, hue: 'blue' })
    act(() => result.current.go({ sort: 'price' }))
    expect(replace).toHaveBeenLastCalledWith('/paints?hue=blue&sort=price', { scroll: false })
    act(() => result.current.go({ hue: '' }))
    expect(replace).toHaveBeenLastCalledWith('/paints', { scroll: false })
  })
  it('a click ends the wait, so that no search comes after the click and calls the visitor back', () => {
    const { result } = open()
    act(() => result.current.type('teal'))
    act(() => document.body.click())
    expect(replace).toHaveBeenCalledTimes(1)
    act(() => jest.advanceTimersByTime(1000))
    act(() => document.body.click())
    expect(replace).toHaveBeenCalledTimes(1)
  })
  it('asks nothing once the screen is gone', () => {
    const { result, unmount } = open()
    act(() => result.current.type('teal'))
    unmount()
    jest.advanceTimersByTime(1000)
    document.body.click()
    expect(replace).not.toHaveBeenCalled()
  })
})

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
