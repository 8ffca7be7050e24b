/** @jest-environment jsdom */
import { act, fireEvent, render } from '@testing-library/react'
import { BottleForm } from './LabelStep'
import { KeyPlace } from '@/ui/hand/StepKey'

const push = jest.fn()

jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }))

jest.mock('./WeighOnce', () => ({ WeighOnce: () => null }))

describe('filling the bottle', () => {
  it('asks before it books as found what a base held beyond its books, and goes to the bottle then', async () => {
    const foot = document.body.appendChild(document.createElement('footer'))
    const sent: { findRest: boolean }[] = []
    const answers = [
      { ok: false, code: 'NotEnough', message: 'Base held 50 ml by the books. Book once more.' },
      { ok: true, value: { id: 'b1' } },
    ]
    globalThis.fetch = jest.fn(async (_: string, { body }: { body: string }) => {
      sent.push(JSON.parse(body) as { findRest: boolean })
      return { json: async () => answers.shift() }
    }) as never
    const said: (string | undefined)[] = []
    render(
      <KeyPlace value={{ place: foot, busy: false }}>
        <BottleForm mixingId="m" totalUl={85_000} label="Teal" role="pour" units="metric" say={(s) => said.push(s)} />
      </KeyPlace>,
    )
    const press = () => act(async () => void fireEvent.click(foot.querySelector('button')!))
    expect(foot.textContent).toMatch('Book the bottle')
    await press()
    expect(said.at(-1)).toMatch('Base held 50 ml')
    expect(foot.textContent).toMatch('Book it as poured')
    await press()
    expect(sent.map((s) => s.findRest)).toEqual([false, true])
    expect(push).toHaveBeenCalledWith('/rack/b1')
  })
})
