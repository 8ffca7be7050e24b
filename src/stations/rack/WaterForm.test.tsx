/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react'
import { WaterForm } from './WaterForm'

/** Named in another language: which one is usual goes by what it is, not by what it is called. */
const waters = [
  { id: 't', name: 'Kranvatten', thinner: 'tap' as const },
  { id: 'd', name: 'Avjoniserat', thinner: 'distilled' as const },
]
const limit = { roomUl: 1_000, sentence: 'Water is 28 % of the paint.' }

describe('water for a bottle', () => {
  const show = (evaporatedUl: number, of: { limit: typeof limit | undefined } = { limit }) => {
    const added: [string, number][] = []
    render(
      <WaterForm
        waters={waters}
        evaporatedUl={evaporatedUl}
        limit={of.limit}
        units="metric"
        attempt={(work) => work()}
        pending={false}
        onAdd={(id, ul) => added.push([id, ul])}
      />,
    )
    const type = (text: string) =>
      fireEvent.change(screen.getByLabelText('Water that went in'), { target: { value: text } })
    return { added, type, warned: () => screen.queryByText(/thin it with medium instead/)?.textContent ?? '' }
  }

  it('says so when more went in than the house’s limit leaves room for, and books it all the same', () => {
    const { type, warned, added } = show(0)
    expect(warned()).toBe('')
    type('20 drops')
    expect(warned()).toBe('')
    type('21 drops')
    expect(warned()).toMatch(/^Water is 28 % of the paint\. There is room for 20.drops of water: thin it with medium/)
    fireEvent.click(screen.getByRole('button', { name: 'Add the water' }))
    expect(added).toEqual([['d', 1_050]])
  })
  it('begins with what evaporated, which may come back whatever the limit says', () => {
    const { type, warned } = show(4_000)
    expect(screen.getByLabelText<HTMLInputElement>('Water that went in').value).toMatch(/80 drops/)
    expect(warned()).toBe('')
    type('81 drops')
    expect(warned()).not.toBe('')
  })
  it('says nothing of a limit nobody knows', () => {
    const { type, warned } = show(0, { limit: undefined })
    type('900 ml')
    expect(warned()).toBe('')
  })
})
