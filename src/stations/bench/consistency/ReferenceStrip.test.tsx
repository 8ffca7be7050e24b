/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from '@testing-library/react'
import { App } from 'antd'
import { correctAction } from './actions'
import type { DeskBottle } from './queries'
import { ReferenceStrip } from './ReferenceStrip'

jest.mock('./actions', () => ({
  correctAction: jest.fn(async () => ({ ok: true, value: null })),
  referenceAction: jest.fn(),
}))

/** A bottle that is flat in so many seconds, with room for so much water. */
const bottle = (id: string, seconds: number, more: Partial<DeskBottle> = {}): DeskBottle => ({
  id,
  label: id,
  hex: '#136a78',
  sheen: 'satin',
  palette: 'Night',
  technique: null,
  role: 'pour',
  ul: 100_000,
  w: 0,
  levelTimeS: seconds,
  readAt: null,
  isReference: false,
  belief: { a: Math.log(seconds), b: 10, varA: 1e-8, covAb: 0, varB: 1e-8 },
  points: [],
  others: [],
  pair: '',
  roomUl: 50_000,
  limit: '',
  ...more,
})
const show = (...bottles: DeskBottle[]) =>
  render(
    <App>
      <ReferenceStrip bottles={bottles} waterId="w" chosen="Teal" onChoose={() => undefined} />
    </App>,
  )
const row = (label: string) => screen.getAllByTestId('strip').find((r) => within(r).queryByText(label))!
const taps = (label: string) =>
  within(row(label))
    .queryAllByRole('button', { name: /^\+/ })
    .map((b) => b.textContent)

describe('the bottles of a palette beside their reference', () => {
  it('says how many drops each needs to agree, each one tap', async () => {
    show(bottle('Teal', 2, { isReference: true }), bottle('Navy', 2.5), bottle('Cream', 2.1), bottle('Thin', 1))
    // ln 1.25 / 10 of 100 ml are 2.23 ml.
    expect(row('Navy').textContent).toMatch(/thicker: 45.drops/)
    expect(taps('Navy')).toEqual(['+6', '+45'])
    expect([row('Cream').textContent, row('Thin').textContent]).toEqual([
      expect.stringMatching('agrees'),
      expect.stringMatching('thinner'),
    ])
    await act(async () => void fireEvent.click(within(row('Navy')).getByRole('button', { name: '+45' })))
    expect(correctAction).toHaveBeenCalledWith(expect.objectContaining({ vesselId: 'Navy', waterId: 'w', ul: 2_250 }))
  })
  it('offers no drops past the water limit, but the medium that does the rest', () => {
    show(
      bottle('Teal', 2, { isReference: true }),
      bottle('Navy', 2.5, { roomUl: 1_000 }),
      bottle('Full', 2.5, { roomUl: 0 }),
    )
    expect(row('Navy').textContent).toMatch(/thicker: 20.drops, then 3\.52.ml of medium/)
    expect(taps('Navy')).toEqual(['+6', '+20'])
    expect(row('Full').textContent).toMatch(/thicker: 6\.37.ml of medium/)
    expect(taps('Full')).toEqual([])
  })
})
