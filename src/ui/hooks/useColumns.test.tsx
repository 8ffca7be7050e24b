/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react'
import { useColumns } from './useColumns'

describe('columns', () => {
  it('as many as fit with their gaps, at least one, measured anew as the page changes', () => {
    let measure = () => {}
    let stopped = false
    Object.assign(globalThis, {
      ResizeObserver: class {
        constructor(again: () => void) {
          measure = again
        }
        observe() {}
        disconnect() {
          stopped = true
        }
      },
    })
    let width = 640
    jest.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockImplementation(() => width)
    function Shelf() {
      const { box, columns } = useColumns({ width: 100, gap: 20, usual: 4 })
      return (
        <div ref={box} data-testid="box">
          {columns}
        </div>
      )
    }
    const { unmount } = render(<Shelf />)
    const columns = () => Number(screen.getByTestId('box').textContent)
    // Five of 100 with four gaps of 20 take 580; six take 700.
    expect(columns()).toBe(5)
    width = 700
    act(measure)
    expect(columns()).toBe(6)
    width = 50
    act(measure)
    expect(columns()).toBe(1)
    unmount()
    expect(stopped).toBe(true)
    jest.restoreAllMocks()
  })
})
