/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { clearTray, drawMarks, openTray, toggleOnTray, useTray, type TrayItem } from './tray'

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
