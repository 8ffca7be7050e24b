/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react'
import { useTopOfPage } from './useTopOfPage'

describe('the top of a page', () => {
  const scrollTo = jest.fn()
  const at = (y: number) => Object.defineProperty(window, 'scrollY', { value: y, configurable: true })
  const open = () => renderHook((p: { path: string }) => useTopOfPage(p.path), { initialProps: { path: '/rack' } })
  beforeEach(() => {
    scrollTo.mockClear()
    window.scrollTo = scrollTo
  })

  it('comes out from under the bar when another page is opened', () => {
    const { rerender } = open()
    at(29)
    rerender({ path: '/rack' })
    expect(scrollTo).not.toHaveBeenCalled()
    rerender({ path: '/rack/7' })
    expect(scrollTo).toHaveBeenCalledWith(0, 0)
  })
  it('is left alone further down, at the very top, and where the visitor went back to', () => {
    const { rerender } = open()
    at(400)
    rerender({ path: '/rack/7' })
    at(0)
    rerender({ path: '/rack/8' })
    at(40)
    window.dispatchEvent(new Event('popstate'))
    rerender({ path: '/rack' })
    expect(scrollTo).not.toHaveBeenCalled()
    rerender({ path: '/rack/9' })
    expect(scrollTo).toHaveBeenCalledTimes(1)
  })
})
