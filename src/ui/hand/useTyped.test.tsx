/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import { useTyped } from './useTyped'

function open() {
  const sent: string[] = []
  const answers: ((kept: boolean) => void)[] = []
  const send = (event: string) => {
    sent.push(event)
    return new Promise<boolean>((resolve) => answers.push(resolve))
  }
  const { result } = renderHook(() => useTyped(send))
  const type = (text: string) => act(() => result.current.setTyped(text))
  return { sent, answers, view: () => result.current, type }
}

describe('an amount that was typed', () => {
  it('leaves the field at once, and is gone when it was kept', async () => {
    const { sent, answers, view, type } = open()
    type('20 drops')
    act(() => view().carry('water 1 ml'))
    expect(view().typed).toBe('')
    await act(async () => answers[0]!(true))
    expect(view().typed).toBe('')
    expect(sent).toEqual(['water 1 ml'])
  })
  it('comes back where it was not kept, unless something else is typed by then', async () => {
    const { answers, view, type } = open()
    type('20 drops')
    act(() => view().carry('water 1 ml'))
    await act(async () => answers[0]!(false))
    expect(view().typed).toBe('20 drops')
    act(() => view().carry('water 1 ml'))
    type('30 drops')
    await act(async () => answers[1]!(false))
    expect(view().typed).toBe('30 drops')
  })
})
