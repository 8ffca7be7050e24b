/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react'
import { START_BANDS } from '@/core/consistency/levelTime'
import { START_BELIEFS } from '@/core/consistency/dilution'
import { guideState, type GuideEvent, type GuideLine } from '@/core/mix/guide'
import { JudgeStep } from './JudgeStep'
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

const poured: GuideEvent[] = [
  ...begun,
  { kind: 'pour', ul: 100_000, grams: 130 },
  { kind: 'pour', ul: 50_000, grams: 180 },
]

const judging: GuideEvent[] = [...poured, { kind: 'next' }]

const reading: GuideEvent = { kind: 'reading', levelTimeS: 4, sigma: 0.08, tries: [4, 4.1, 3.9], how: 'stopwatch' }

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
