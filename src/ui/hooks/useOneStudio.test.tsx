/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react'
import { useOneStudio } from './useOneStudio'

const refresh = jest.fn()
jest.mock('./useRefresh', () => ({ useRefresh: () => refresh }))

/** Lines of one browser: what one says, the others hear. */
const lines = new Set<Line>()
class Line {
  onmessage?: (e: { data: unknown }) => void
  constructor() {
    lines.add(this)
  }
  postMessage(data: unknown) {
    for (const l of lines) if (l !== this) l.onmessage?.({ data })
  }
  close() {
    lines.delete(this)
  }
}
beforeEach(() => {
  refresh.mockClear()
  globalThis.BroadcastChannel = Line as never
})

it('a tab that shows another studio than the one opened last reads itself anew, and one that shows it does not', () => {
  const first = renderHook(({ id }) => useOneStudio(id), { initialProps: { id: 'upper' } })
  const second = renderHook(({ id }) => useOneStudio(id), { initialProps: { id: 'upper' } })
  expect(refresh).not.toHaveBeenCalled()
  second.rerender({ id: 'lower' })
  expect(refresh).toHaveBeenCalledTimes(1)
  first.rerender({ id: 'lower' })
  expect(refresh).toHaveBeenCalledTimes(1)
  first.unmount()
  second.unmount()
  expect(lines.size).toBe(0)
})
