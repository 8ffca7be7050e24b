/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react'
import { START_BANDS } from '@/core/consistency/levelTime'
import { START_BELIEFS } from '@/core/consistency/dilution'
import { guideState, type GuideEvent, type GuideLine } from '@/core/mix/guide'
import { PourStep } from './PourStep'
import { KeyPlace } from './StepKey'
import type { KeptPlan } from '@/db/mixings/plan'
import type { StepProps } from './stepProps'

const push = jest.fn()

jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }))

jest.mock('./WeighOnce', () => ({ WeighOnce: () => null }))

const line = (name: string, plannedUl: number): GuideLine => ({
  source: 'material',
  id: name,
  name,
  kind: name === 'Flow' ? 'medium' : 'paint',
  hex: null,
  densityGPerMl: 1,
  solids: 0.4,
  waterShare: 0.5,
  plannedUl,
  byDrop: false,
})

const plan = {
  lines: [line('Flow', 100_000), line('Teal', 50_000)],
  cupUl: null,
  prepare: [],
  bandS: [1, 2],
  school: 'binder',
  label: 'Teal',
  role: 'pour',
  technique: 'straight',
  recipe: { paints: [], paintParts: 1, mediums: [], water: null },
  formula: null,
  steps: [],
  belief: START_BELIEFS.soft,
  water: { id: 'water', name: 'Water', waterShare: 1, solids: 0, densityGPerMl: 1 },
} as unknown as KeptPlan

const begun: GuideEvent[] = [{ kind: 'next' }, { kind: 'tare', grams: 30 }]

const scaleAt = (grams: number | null, settledG: number | null = grams): StepProps['scale'] => ({
  here: true,
  why: '',
  name: 'Scale',
  standIn: true,
  resolutionG: 0.1,
  overload: false,
  grams,
  settledG,
  ask: async () => undefined,
})

const gone: StepProps['scale'] = { ...scaleAt(null), here: false, why: 'The scale does not answer.' }

/** A step on the screen, with what it sent and said. */
function open(Step: (props: StepProps) => React.ReactNode, events: GuideEvent[], first = scaleAt(30)) {
  const foot = document.body.appendChild(document.createElement('footer'))
  const sent: GuideEvent[] = []
  const said: (string | undefined)[] = []
  const answers: ((kept: boolean) => void)[] = []
  const send = (e: GuideEvent) => void sent.push(e)
  const say = (s: string | undefined) => void said.push(s)
  const sendTyped = (e: GuideEvent) => {
    sent.push(e)
    return new Promise<boolean>((resolve) => answers.push(resolve))
  }
  const draw = (scale: StepProps['scale'], list: GuideEvent[]) => (
    <KeyPlace value={{ place: foot, busy: false }}>
      <Step
        plan={plan}
        state={guideState(plan, list)}
        scale={scale}
        send={send}
        sendTyped={sendTyped}
        units="metric"
        bands={START_BANDS}
        sending={false}
        say={say}
      />
    </KeyPlace>
  )
  const { rerender } = render(draw(first, events))
  return {
    sent,
    said,
    answer: (kept: boolean) => act(async () => answers.shift()!(kept)),
    show: (scale: StepProps['scale'], list = events) => rerender(draw(scale, list)),
    key: () => foot.querySelector('button')!,
    press: () => fireEvent.keyDown(document.body, { key: ' ' }),
    type: (label: RegExp | string, text: string) => {
      fireEvent.change(screen.getByLabelText(label), { target: { value: text } })
    },
    enter: (label: RegExp | string) => {
      fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter' })
      fireEvent.keyUp(screen.getByLabelText(label), { key: 'Enter' })
    },
  }
}

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
})
