/** @jest-environment jsdom */
import { gone, judging, open, reading, scaleAt } from '../../../../tests/support/guideSteps'
import { screen } from '@testing-library/react'
import { type GuideEvent } from '@/core/mix/guide'
import { JudgeStep } from './JudgeStep'

const push = jest.fn()

jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }))

jest.mock('./WeighOnce', () => ({ WeighOnce: () => null }))

describe('judging', () => {
  it('times the mound by the key and sends the middle of three', () => {
    let at = 0
    jest.spyOn(Event.prototype, 'timeStamp', 'get').mockImplementation(() => at)
    const step = open(JudgeStep, judging)
    for (const seconds of [3, 3.4, 3.2]) {
      step.press()
      at += 1000 * seconds
      step.press()
    }
    jest.restoreAllMocks()
    expect(step.sent).toMatchObject([{ kind: 'reading', levelTimeS: 3.2, tries: [3, 3.4, 3.2], how: 'stopwatch' }])
    expect(screen.getByRole('heading').textContent).toBe('Time the mound, try 1 of 3')
  })
  it('advises water, and the key says and sends the first step of it', () => {
    const step = open(JudgeStep, [...judging, reading], scaleAt(180))
    const ul = Number(screen.getByTestId('advice').dataset.ul)
    expect(ul).toBeGreaterThan(3_000)
    expect(screen.getByTestId('reading').textContent).toMatch('4.00 s middle of 3')
    step.press()
    expect(step.sent).toEqual([{ kind: 'water', ul, grams: 180 }])
  })
  it('what the scale shows of water goes before what was advised', () => {
    const step = open(JudgeStep, [...judging, reading], scaleAt(185))
    expect(screen.getByTestId('advice').dataset.ul).toBe('5000')
    expect(screen.getByText(/by the scale/)).toBeTruthy()
    step.press()
    expect(step.sent).toEqual([{ kind: 'water', ul: 5_000, grams: 185 }])
  })
  it('while the scale moves nothing is booked as advised, and a lifted cup is no weight', () => {
    const step = open(JudgeStep, [...judging, reading], scaleAt(183, null))
    step.press()
    expect(step.sent).toEqual([])
    expect(step.said.at(-1)).toMatch('still moving')
    step.show(scaleAt(0.2))
    const ul = Number(screen.getByTestId('advice').dataset.ul)
    step.press()
    expect(step.sent).toEqual([{ kind: 'water', ul }])
  })
  it('water that is typed is not lost while a reading is on its way', async () => {
    const step = open(JudgeStep, [...judging, reading], gone)
    step.type('Water that went in', '20 drops')
    step.enter('Water that went in')
    expect(step.sent).toEqual([{ kind: 'water', ul: 1_000 }])
    await step.answer(false)
    expect(screen.getByLabelText('Water that went in')).toHaveProperty('value', '20 drops')
    step.type('Water that went in', 'some')
    step.enter('Water that went in')
    expect(step.said.at(-1)).toMatch('“some” is not an amount')
  })
  it('is good when it is in the band, and may be left as it is when it is not', () => {
    const good = open(JudgeStep, [...judging, { ...reading, levelTimeS: 1.4 } as GuideEvent], gone)
    expect(screen.getByText(/It is as wanted: 1–2 s/)).toBeTruthy()
    good.press()
    expect(good.sent).toEqual([{ kind: 'good' }])
  })
})
