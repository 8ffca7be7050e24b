/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react'
import type { Answer } from '@/core/answer'
import { useRefreshing } from './useRefresh'
import { useSend } from './useSend'

jest.mock('./useRefresh', () => ({
  useRefreshing: jest.fn(() => ({ refresh: () => undefined, wished: false, round: 0 })),
}))

const back: { work: (() => void) | undefined; letBe: jest.Mock } = { work: undefined, letBe: jest.fn() }
jest.mock('./connection', () => ({
  whenBack: (work: () => void) => {
    back.work = work
    return back.letBe
  },
}))

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
  it('can be sent again from the moment on in which a refusal is seen, and not while it is on its way', async () => {
    const seen: string[] = []
    let answer: (a: Answer<string>) => void = () => undefined
    const { result } = renderHook(() => {
      const s = useSend<string>()
      seen.push(`${s.pending ? 'on its way' : 'still'}${s.refusal ? ', refused' : ''}`)
      return s
    })
    act(() => result.current.send(() => new Promise((resolve) => (answer = resolve))))
    expect(result.current.pending).toBe(true)
    await act(async () => answer(refused('Invalid')))
    expect(seen.filter((s, i) => s !== seen[i - 1])).toEqual(['still', 'on its way', 'still, refused'])
  })
  it('a double tap is one request, and is on its way until both are answered', async () => {
    const answers: ((a: Answer<string>) => void)[] = []
    const { result } = renderHook(() => useSend<string>())
    const tap = () => result.current.send(() => new Promise((resolve) => answers.push(resolve)))
    act(() => {
      tap()
      tap()
    })
    await act(async () => answers[0]!(refused('Invalid')))
    expect(result.current.pending).toBe(true)
    await act(async () => answers[1]!(refused('Invalid')))
    expect(result.current.pending).toBe(false)
  })
  it('a double tap is one request by its id', async () => {
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
  it('what got no answer is sent again by itself when Fika is back, as the same request, and counts once', async () => {
    const { asked, result } = open()
    const done = jest.fn()
    const answers = [new TypeError('Failed to fetch'), { ok: true, value: 'bottle 7' } as const]
    await act(async () =>
      result.current.send((id) => {
        asked.push(id)
        const answer = answers.shift()!
        return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
      }, done),
    )
    expect(done).not.toHaveBeenCalled()
    await act(async () => back.work!())
    expect(done).toHaveBeenCalledWith('bottle 7')
    expect(asked).toHaveLength(2)
    expect(new Set(asked).size).toBe(1)
    expect(result.current.refusal).toBeUndefined()
  })
  it('what was sent by hand meanwhile, or whose form is gone, is not sent by itself as well', async () => {
    const { result, send } = open()
    back.letBe.mockClear()
    await send(new TypeError('Failed to fetch'))
    await send({ ok: true, value: '' })
    expect(back.letBe).toHaveBeenCalled()
    expect(result.current.refusal).toBeUndefined()
    const gone = renderHook(() => useSend<string>())
    await act(async () => gone.result.current.send(() => Promise.reject(new TypeError('Failed to fetch'))))
    back.letBe.mockClear()
    gone.unmount()
    expect(back.letBe).toHaveBeenCalledTimes(1)
  })
  it('what the front refused is not sent again by itself', async () => {
    const { result, send } = open()
    back.work = undefined
    await send(new Error('Fika: That is more than Fika takes at once.'))
    expect(result.current.refusal?.message).toBe('That is more than Fika takes at once.')
    expect(back.work).toBeUndefined()
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

describe('once it is done', () => {
  const refresh = jest.fn()
  const around = (wished: boolean, round: number) => {
    jest.mocked(useRefreshing).mockReturnValue({ refresh, wished, round })
  }
  beforeEach(() => refresh.mockClear())
  afterEach(() => around(false, 0))

  it('the page is read anew, and until it is there, what was sent is not done', async () => {
    around(false, 3)
    const { result, rerender } = renderHook(() => useSend<string>())
    await act(async () => result.current.send(() => Promise.resolve(refused('NotEnough'))))
    expect(refresh).not.toHaveBeenCalled()
    await act(async () => result.current.send(() => Promise.resolve({ ok: true, value: '' })))
    expect(refresh).toHaveBeenCalledTimes(1)
    around(true, 3)
    rerender()
    expect(result.current.pending).toBe(true)
    around(true, 4)
    rerender()
    // What somebody else wishes is none of it.
    expect(result.current.pending).toBe(false)
  })
  it('nothing is read anew where nothing of the page has changed', async () => {
    const { result } = renderHook(() => useSend<string>({ quiet: true }))
    await act(async () => result.current.send(() => Promise.resolve({ ok: true, value: '' })))
    expect(refresh).not.toHaveBeenCalled()
  })
})
