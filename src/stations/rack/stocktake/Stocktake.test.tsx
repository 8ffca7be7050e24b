/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from '@testing-library/react'
import { App } from 'antd'
import { contentKey } from '@/core/vessel/content'
import type { Weight } from '@/db/bottles/stocktake'
import { FakeEventSource } from '../../../../tests/support/eventSource'
import { dropWeightAction, nameLossAction, stocktakeAction, takeWeightAction } from '../actions'
import { RefreshHere } from '@/ui/hooks/useRefresh'
import type { ToWeigh } from './queries'
import { Stocktake } from './Stocktake'

const refresh = jest.fn()
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }))
jest.mock('../RackNav', () => ({ RackNav: () => null }))
jest.mock('../actions', () => ({
  dropWeightAction: jest.fn(),
  nameLossAction: jest.fn(),
  stocktakeAction: jest.fn(),
  takeWeightAction: jest.fn(),
}))
const scale = {
  here: false,
  why: 'The scale does not answer.',
  grams: null as number | null,
  settledG: null as number | null,
}
jest.mock('@/ui/hooks/useScale', () => ({ useScale: () => scale }))

const bottle = (id: string, ul = 100_000): ToWeigh => ({
  id,
  code: '0000',
  label: id,
  role: 'pour',
  palette: '',
  hex: null,
  sheen: 'satin',
  isJar: false,
  ul,
  capacityUl: null,
  tareMg: 30_000,
  content: [
    { lotId: `p ${id}`, ul: ul * 0.9, isWater: false, densityGPerMl: 1, solids: 0.4 },
    { lotId: 'w', ul: ul * 0.1, isWater: true, densityGPerMl: 1, solids: 0 },
  ],
})
const weight = (b: ToWeigh, offMg: number, more: Partial<Weight> = {}): Weight => ({
  vesselId: b.id,
  requestId: `r ${b.id}`,
  grossMg: 130_000 + offMg,
  tareMg: 30_000,
  named: null,
  heldAs: contentKey(b.content),
  at: '2026-11-27T09:00:00Z',
  mine: true,
  ...more,
})
const [Teal, Navy, Cream] = [bottle('Teal'), bottle('Navy'), bottle('Cream')]

function show(first: Weight[] = [], bottles = [Teal, Navy, Cream]) {
  const page = (list: ToWeigh[]) => (
    <App>
      <Stocktake bottles={list} first={first} units="metric" zone="UTC" today="27 Nov 2026" />
    </App>
  )
  const { rerender } = render(page(bottles), { wrapper: RefreshHere })
  return { books: (list: ToWeigh[]) => rerender(page(list)) }
}
const now = () => screen.getByTestId('to-weigh').textContent
const rows = () => screen.queryAllByTestId('weighed')
const kinds = () => rows().map((r) => r.dataset.kind)
const press = async (key: string) => act(async () => void fireEvent.keyDown(document.body, { key }))
const told = <T extends (...a: never[]) => unknown>(action: T) => action as unknown as jest.Mock

beforeEach(() => {
  jest.clearAllMocks()
  FakeEventSource.install()
  Object.assign(scale, { here: true, grams: 127, settledG: 127 })
  told(takeWeightAction).mockImplementation(async (w: Weight) => ({ ok: true, value: weight(Teal, 0, { ...w }) }))
  for (const done of [dropWeightAction, nameLossAction, stocktakeAction]) told(done).mockResolvedValue({ ok: true })
})

describe('a stocktake on the screen', () => {
  it('takes what the scale shows with the one key, and goes on to the next bottle', async () => {
    show()
    expect(now()).toBe('Teal')
    told(takeWeightAction).mockImplementation(async (w: Weight) => ({
      ok: true,
      value: weight(Teal, 0, { ...w, heldAs: contentKey(Teal.content) }),
    }))
    await press(' ')
    expect(takeWeightAction).toHaveBeenCalledWith(
      expect.objectContaining({ vesselId: 'Teal', grossMg: 127_000, tareMg: 30_000 }),
    )
    expect(now()).toBe('Navy')
    expect(kinds()).toEqual(['evaporation'])
    expect(screen.getByText('1 of 3 weighed')).toBeTruthy()
  })
  it('waits for the scale to stand, and for the answer, before it takes another', async () => {
    show()
    scale.settledG = null
    await press(' ')
    expect(screen.getByText(/still moving/)).toBeTruthy()
    scale.settledG = 127
    let answer: (a: unknown) => void = () => undefined
    told(takeWeightAction).mockImplementation(() => new Promise((resolve) => (answer = resolve)))
    await press(' ')
    await press(' ')
    expect(takeWeightAction).toHaveBeenCalledTimes(1)
    await act(async () => answer({ ok: false, code: 'Unexpected', message: 'Fika could not do that.' }))
    expect(now()).toBe('Teal')
    expect(screen.getByText('Fika could not do that.')).toBeTruthy()
  })
  it('shows what another device weighs, and the books anew only where they have changed', async () => {
    show()
    const fetched = [weight(Navy, 500, { mine: false })]
    globalThis.fetch = jest.fn(async () => ({ ok: true, json: async () => fetched })) as never
    jest.useFakeTimers()
    FakeEventSource.last.say({ topics: ['stocktake', 'mixing 7'] })
    await act(async () => jest.advanceTimersByTime(200))
    expect(kinds()).toEqual(['gain'])
    expect(refresh).not.toHaveBeenCalled()
    FakeEventSource.last.say({ topics: ['rack'] })
    await act(async () => jest.advanceTimersByTime(200))
    expect(refresh).toHaveBeenCalledTimes(1)
    jest.useRealTimers()
    // Z takes back what was weighed here, not what somebody else did.
    await press('z')
    expect(dropWeightAction).not.toHaveBeenCalled()
  })
  it('books no weight of a bottle that has changed since, and asks to weigh it again', async () => {
    const { books } = show([weight(Teal, -2_000), weight(Navy, -2_000)])
    expect(kinds()).toEqual(['evaporation', 'evaporation'])
    books([bottle('Teal', 80_000), Navy, Cream])
    expect(kinds()).toEqual(['evaporation', 'changed'])
    expect(within(rows()[1]!).getByText(/Weigh it again; this weight is not booked/)).toBeTruthy()
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Book one weight' })))
    expect(stocktakeAction).toHaveBeenCalledWith({ requestIds: ['r Navy'] })
    expect(kinds()).toEqual(['changed'])
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Again' })))
    expect(dropWeightAction).toHaveBeenCalledWith({ vesselId: 'Teal', requestId: 'r Teal' })
    expect(now()).toBe('Teal')
    expect(rows()).toHaveLength(0)
  })
  it('wants a word on what water cannot explain before anything is booked', async () => {
    show([weight(Teal, -30_000, { at: '2026-11-20T09:00:00Z' })])
    const book = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Book one weight' })
    expect(book().disabled).toBe(true)
    expect(screen.getByText(/weighed 20 Nov 2026/)).toBeTruthy()
    await act(async () => void fireEvent.click(screen.getByText('It was spilled')))
    expect(nameLossAction).toHaveBeenCalledWith({ vesselId: 'Teal', requestId: 'r Teal', named: 'spilled' })
    expect(kinds()).toEqual(['evaporation'])
    expect(book().disabled).toBe(false)
  })
  it('a loss that is explained keeps its place: Z still takes back what was weighed last', async () => {
    show([weight(Teal, -30_000), weight(Navy, 0)])
    await act(async () => void fireEvent.click(screen.getByText('It dried')))
    expect(rows().map((r) => r.querySelector('b')!.textContent)).toEqual(['Navy', 'Teal'])
    await press('z')
    expect(dropWeightAction).toHaveBeenCalledWith({ vesselId: 'Navy', requestId: 'r Navy' })
  })
  it('takes the last own weight back on Z, and weighs that bottle again', async () => {
    show([weight(Navy, 0), weight(Cream, 0, { mine: false })])
    await press('z')
    expect(dropWeightAction).toHaveBeenCalledWith({ vesselId: 'Navy', requestId: 'r Navy' })
    expect(now()).toBe('Navy')
  })
})
