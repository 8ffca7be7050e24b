import { act, fireEvent, render, screen } from '@testing-library/react'
import type { ReactNode } from 'react'
import { START_BELIEFS } from '@/core/consistency/dilution'
import { START_BANDS } from '@/core/consistency/levelTime'
import { guideState, type GuideEvent, type GuideLine } from '@/core/mix/guide'
import type { KeptPlan } from '@/db/mixings/plan'
import { KeyPlace } from '@/ui/hand/StepKey'
import type { StepProps } from '@/stations/bench/guide/stepProps'

const line = (name: string, plannedUl: number): GuideLine => ({
  source: 'material',
  id: name,
  name,
  kind: name === 'Flow' ? 'medium' : 'paint',
  hex: null,
  densityGPerMl: 1,
  solids: 0.4,
  waterShare: 0.1,
  plannedUl,
  byDrop: false,
})

export const plan = {
  lines: [line('Flow', 100_000), line('Teal', 50_000)],
  cupUl: null,
  prepare: [],
  bandS: [1, 2],
  waterRule: { school: 'thinned-40' },
  label: 'Teal',
  role: 'pour',
  technique: 'straight',
  recipe: { paints: [], paintParts: 1, mediums: [], water: null },
  formula: null,
  steps: [],
  belief: START_BELIEFS.soft,
  water: { id: 'water', name: 'Water', waterShare: 1, solids: 0, densityGPerMl: 1 },
} as unknown as KeptPlan

export const begun: GuideEvent[] = [{ kind: 'next' }, { kind: 'tare', grams: 30 }]

export const poured: GuideEvent[] = [
  ...begun,
  { kind: 'pour', ul: 100_000, grams: 130 },
  { kind: 'pour', ul: 50_000, grams: 180 },
]

export const judging: GuideEvent[] = [...poured, { kind: 'next' }]

export const reading: GuideEvent = {
  kind: 'reading',
  levelTimeS: 4,
  sigma: 0.08,
  tries: [4, 4.1, 3.9],
  how: 'stopwatch',
}

export const scaleAt = (grams: number | null, settledG: number | null = grams): StepProps['scale'] => ({
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

export const gone: StepProps['scale'] = { ...scaleAt(null), here: false, why: 'The scale does not answer.' }

/** A step on the screen, with what it sent and said. */
export function open(
  Step: (props: StepProps) => ReactNode,
  events: GuideEvent[],
  first = scaleAt(30),
  of: KeptPlan = plan,
) {
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
        plan={of}
        state={guideState(of, list)}
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
