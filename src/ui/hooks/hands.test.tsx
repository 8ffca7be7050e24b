/** @jest-environment jsdom */
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react'
import { Invalid } from '@/core/errors'
import { attemptOr, useAttempt } from './useAttempt'
import { useColumns } from './useColumns'
import { useHandKeys } from './useHandKeys'
import { useStopwatch } from './useStopwatch'

describe('one key for the hand', () => {
  function Hand({ next, undo }: { next?: () => void; undo?: () => void }) {
    useHandKeys({ next, undo })
    return (
      <>
        <button type="button">Other</button>
        <input aria-label="typed" />
      </>
    )
  }
  const key = (target: Element | Document, init: object) => fireEvent.keyDown(target, init)

  it('Space is next and Z is undo, wherever the hand is', () => {
    const [next, undo, pressed] = [jest.fn(), jest.fn(), jest.fn()]
    render(<Hand next={next} undo={undo} />)
    const button = screen.getByRole('button')
    button.addEventListener('keydown', pressed)
    expect(key(document.body, { key: ' ' })).toBe(false)
    key(button, { key: ' ' })
    key(document.body, { key: 'Z' })
    expect([next.mock.calls.length, undo.mock.calls.length]).toEqual([2, 1])
    // The button that has the focus is not pressed by the same key.
    expect(pressed).not.toHaveBeenCalled()
  })
  it('not while something is typed, with a modifier, by a key held down, or without a thing to do', () => {
    const next = jest.fn()
    render(<Hand next={next} />)
    key(screen.getByLabelText('typed'), { key: ' ' })
    for (const held of ['ctrlKey', 'metaKey', 'altKey', 'repeat']) key(document.body, { key: ' ', [held]: true })
    expect(next).not.toHaveBeenCalled()
    expect(key(document.body, { key: 'z' })).toBe(true)
  })
  it('says when it was pressed, however late the page hears of it', () => {
    const next = jest.fn()
    render(<Hand next={next} />)
    const pressed = new KeyboardEvent('keydown', { key: ' ', bubbles: true })
    Object.defineProperty(pressed, 'timeStamp', { value: 1234.5 })
    fireEvent(document.body, pressed)
    expect(next).toHaveBeenCalledWith(1234.5)
  })
  it('does what is on the screen now, and nothing once it is gone', () => {
    const [before, after] = [jest.fn(), jest.fn()]
    const { rerender, unmount } = render(<Hand next={before} />)
    rerender(<Hand next={after} />)
    key(document.body, { key: ' ' })
    unmount()
    key(document.body, { key: ' ' })
    expect([before.mock.calls.length, after.mock.calls.length]).toEqual([0, 1])
  })
})

describe('a stopwatch on one key', () => {
  let at = 0
  beforeEach(() => {
    at = 1000
    jest.spyOn(performance, 'now').mockImplementation(() => at)
  })
  afterEach(() => jest.restoreAllMocks())

  it('times from press to press, by the key and not by the drawing', () => {
    const tries: number[] = []
    const { result } = renderHook(() => useStopwatch((s) => tries.push(s)))
    expect(result.current).toMatchObject({ running: false, seconds: 0 })
    act(() => result.current.press(at))
    expect(result.current.running).toBe(true)
    at += 2340
    act(() => result.current.press(at))
    expect(tries).toEqual([2.34])
    expect(result.current).toMatchObject({ running: false, seconds: 0 })
  })
  it('a bounce of the key is no try', () => {
    const tries: number[] = []
    const { result } = renderHook(() => useStopwatch((s) => tries.push(s)))
    act(() => result.current.press(at))
    at += 40
    act(() => result.current.press(at))
    expect(tries).toEqual([])
    act(() => result.current.press(at))
    at += 41
    act(() => result.current.press(at))
    expect(tries).toEqual([0.041])
  })
})

describe('reading what was typed', () => {
  it('turns what cannot be read into a sentence, and lets real faults through', () => {
    const said: (string | undefined)[] = []
    attemptOr(
      (s) => said.push(s),
      () => {
        throw new Invalid('Type it like 60 ml.')
      },
    )
    expect(said).toEqual([undefined, 'Type it like 60 ml.'])
    expect(() =>
      attemptOr(
        () => undefined,
        () => {
          throw new TypeError('broken')
        },
      ),
    ).toThrow('broken')
  })
  it('keeps the sentence until the next try or until it is cleared', () => {
    const { result } = renderHook(() => useAttempt())
    const fail = () =>
      result.current.attempt(() => {
        throw new Invalid('Type a number.')
      })
    act(fail)
    expect(result.current.unreadable).toBe('Type a number.')
    act(() => result.current.attempt(() => undefined))
    expect(result.current.unreadable).toBeUndefined()
    act(fail)
    act(() => result.current.clear())
    expect(result.current.unreadable).toBeUndefined()
  })
})

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
