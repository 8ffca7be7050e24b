/** @jest-environment jsdom */
import { begun, gone, open, plan, scaleAt } from '../../../../tests/support/guideSteps'
import { act, cleanup, screen } from '@testing-library/react'
import { type GuideEvent } from '@/core/mix/guide'
import { PourStep } from './PourStep'

const push = jest.fn()

jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }))

jest.mock('./WeighOnce', () => ({ WeighOnce: () => null }))

const left = () => screen.getByTestId('left').textContent

describe('pouring a line', () => {
  it('says what is still to pour as the scale moves, and books what stands when the hand is off', () => {
    const step = open(PourStep, begun)
    expect(left()).toBe('100 g')
    step.show(scaleAt(90, null))
    expect(left()).toBe('40.0 g')
    step.press()
    expect(step.key().textContent).toMatch('Hands off')
    expect(step.sent).toEqual([])
    step.show(scaleAt(128, null))
    step.show(scaleAt(129.5))
    expect(step.sent).toEqual([{ kind: 'pour', ul: 99_500, grams: 129.5 }])
    expect(step.key().textContent).toMatch('That is in')
  })
  it('books nothing where the scale shows nothing more, and says so after a while', () => {
    jest.useFakeTimers()
    const step = open(PourStep, begun)
    step.press()
    act(() => jest.advanceTimersByTime(1499))
    expect(step.said.filter(Boolean)).toEqual([])
    act(() => jest.advanceTimersByTime(1))
    jest.useRealTimers()
    expect(step.sent).toEqual([])
    expect(step.said.at(-1)).toMatch('nothing more in the cup')
  })
  it('takes what the scale shows late, and not the old weight that still stands on the screen', () => {
    const step = open(PourStep, begun, scaleAt(30.1))
    step.press()
    expect(step.key().textContent).toMatch('Hands off')
    step.show(scaleAt(100, null))
    step.show(scaleAt(130))
    expect(step.sent).toEqual([{ kind: 'pour', ul: 100_000, grams: 130 }])
    expect(step.said.filter(Boolean)).toEqual([])
  })
  it('what is typed while the cup is lifted leaves the tare as it is', () => {
    const step = open(PourStep, begun, scaleAt(2))
    step.type('Typed: Flow', '98 ml')
    step.enter('Typed: Flow')
    expect(step.sent).toEqual([{ kind: 'pour', ul: 98_000 }])
    step.show(scaleAt(128))
    step.type('Typed: Flow', '99 ml')
    step.enter('Typed: Flow')
    expect(step.sent[1]).toEqual({ kind: 'pour', ul: 99_000, grams: 128 })
  })
  it('a plug pulled while it waits: the key books by sight, and the next line is not booked by itself', () => {
    const step = open(PourStep, begun)
    step.show(scaleAt(90, null))
    step.press()
    step.show(gone)
    expect(step.key().textContent).toMatch('Poured 100')
    step.press()
    expect(step.sent).toEqual([{ kind: 'pour', ul: 100_000 }])
    const next: GuideEvent[] = [...begun, { kind: 'pour', ul: 100_000 }]
    step.show(scaleAt(140, null), next)
    step.show(scaleAt(150), next)
    expect(step.sent).toHaveLength(1)
    expect(step.key().textContent).toMatch('That is in')
  })
  it('takes what is typed, keeps it where it cannot be read or was not kept', async () => {
    const step = open(PourStep, begun, gone)
    step.type('Typed: Flow', 'a jug')
    step.enter('Typed: Flow')
    expect(step.said.at(-1)).toMatch('“a jug” is not an amount')
    step.type('Typed: Flow', '98 ml')
    expect(step.key().textContent).toMatch('Book what was typed')
    step.enter('Typed: Flow')
    expect(step.sent).toEqual([{ kind: 'pour', ul: 98_000 }])
    await step.answer(false)
    expect(screen.getByLabelText('Typed: Flow')).toHaveProperty('value', '98 ml')
  })
  it('an additive is counted in its own drops, and weighed or scooped where nobody counts so many', () => {
    const additive = (plannedUl: number) => ({
      ...plan,
      lines: [{ ...plan.lines[0]!, name: 'Silicone', kind: 'additive' as const, byDrop: true, plannedUl }],
    })
    open(PourStep, begun, scaleAt(30), additive(90))
    expect(left()).toBe('6\u00a0drops')
    cleanup()
    const step = open(PourStep, begun, scaleAt(30), additive(5_000))
    expect(left()).toBe('5.0 g')
    expect(document.body.textContent).toMatch('1\u00a0tsp')
    step.type('Typed: Silicone', '40 drops')
    step.enter('Typed: Silicone')
    expect(step.sent).toEqual([{ kind: 'pour', ul: 600, grams: 30 }])
  })
})
