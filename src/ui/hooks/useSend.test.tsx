/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import type { Answer } from '@/core/answer'
import { useSend } from './useSend'

const success = jest.fn()
jest.mock('antd', () => ({ App: { useApp: () => ({ message: { success } }) } }))

const refused = (code: string): Answer<string> =>
  ({ ok: false, code, message: 'Mix 20 ml more, or take less.' }) as Answer<string>

function open() {
  const asked: string[] = []
  const { result } = renderHook(() => useSend<string>())
  const send = (answer: Answer<string> | Error, done?: (v: string) => void, said?: string) =>
    act(async () =>
      result.current.send(
        (requestId) => {
          asked.push(requestId)
          return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
        },
        done,
        said,
      ),
    )
  return { asked, result, send }
}

describe('sending what was typed', () => {
  beforeEach(() => success.mockClear())

  it('says that it is done, hands on what came back, and the next is another request', async () => {
    const { asked, result, send } = open()
    const done = jest.fn()
    await send({ ok: true, value: 'bottle 7' }, done, 'Booked')
    expect(done).toHaveBeenCalledWith('bottle 7')
    expect(success).toHaveBeenCalledWith('Booked')
    expect(result.current).toMatchObject({ pending: false, refusal: undefined })
    await send({ ok: true, value: 'bottle 8' })
    expect(success).toHaveBeenCalledTimes(1)
    expect(new Set(asked).size).toBe(2)
  })
  it('a double tap is one request', async () => {
    const { asked, result } = open()
    await act(async () => {
      const tap = () =>
        result.current.send((id) => {
          asked.push(id)
          return Promise.resolve({ ok: true, value: '' })
        })
      tap()
      tap()
    })
    expect(asked).toHaveLength(2)
    expect(new Set(asked).size).toBe(1)
  })
  it('a try after a lost answer is the same request, for it may have been booked', async () => {
    const { asked, result, send } = open()
    const done = jest.fn()
    await send(new Error('network'), done)
    expect(result.current.refusal).toMatchObject({ code: 'Unexpected', message: expect.stringContaining('try again') })
    await send(refused('Unexpected'), done)
    expect(done).not.toHaveBeenCalled()
    await send({ ok: true, value: 'x' }, done)
    expect(asked).toHaveLength(3)
    expect(new Set(asked).size).toBe(1)
    expect(done).toHaveBeenCalledTimes(1)
    expect(result.current.refusal).toBeUndefined()
  })
  it('a try after a refusal is another request, for it may carry other amounts; the refusal can be put away', async () => {
    const { asked, result, send } = open()
    await send(refused('NotEnough'))
    expect(result.current.refusal?.message).toBe('Mix 20 ml more, or take less.')
    await send(refused('NotEnough'))
    expect(new Set(asked).size).toBe(2)
    act(() => result.current.clear())
    expect(result.current.refusal).toBeUndefined()
  })
})
