/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react'
import { useHandKeys } from './useHandKeys'

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

it('letters of a screen’s own do what it says, and not while something is typed', () => {
  const look = jest.fn()
  function Screen() {
    useHandKeys({ letters: { k: look, b: undefined } })
    return <input aria-label="typed" />
  }
  render(<Screen />)
  fireEvent.keyDown(document.body, { key: 'K' })
  fireEvent.keyDown(document.body, { key: 'b' })
  expect(look).toHaveBeenCalledTimes(1)
  fireEvent.keyDown(screen.getByLabelText('typed'), { key: 'k' })
  expect(look).toHaveBeenCalledTimes(1)
})
