/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react'
import { still } from './still'

let drawn = 0
function Plain({
  label,
  options,
  onPress,
}: {
  label: string
  options: readonly { value: string }[]
  onPress?: () => void
}) {
  drawn++
  return (
    <button onClick={onPress}>
      {label} {options.map((o) => o.value).join(' ')}
    </button>
  )
}
const Still = still(Plain)

describe('still', () => {
  const heard: string[] = []
  const screenWith = (label: string, value: string, word: string | null) => (
    <Still label={label} options={[{ value }]} {...(word ? { onPress: () => void heard.push(word) } : {})} />
  )
  beforeEach(() => {
    drawn = 0
    heard.length = 0
  })

  it('is drawn once for what looks alike, however new its handlers and lists', () => {
    const { rerender } = render(screenWith('Gold', 'a', 'first'))
    rerender(screenWith('Gold', 'a', 'second'))
    rerender(screenWith('Gold', 'a', 'third'))
    expect(drawn).toBe(1)
  })

  it('is drawn again when a word or an item of a list has changed', () => {
    const { rerender } = render(screenWith('Gold', 'a', 'first'))
    rerender(screenWith('Teal', 'a', 'first'))
    expect(screen.getByRole('button').textContent).toBe('Teal a')
    rerender(screenWith('Teal', 'b', 'first'))
    expect(screen.getByRole('button').textContent).toBe('Teal b')
    expect(drawn).toBe(3)
  })

  it('calls the handler the latest drawing gave, and none where it gave none', () => {
    const { rerender } = render(screenWith('Gold', 'a', 'first'))
    rerender(screenWith('Gold', 'a', 'second'))
    fireEvent.click(screen.getByRole('button'))
    expect(heard).toEqual(['second'])
    rerender(screenWith('Gold', 'a', null))
    fireEvent.click(screen.getByRole('button'))
    expect(heard).toEqual(['second'])
  })
})
