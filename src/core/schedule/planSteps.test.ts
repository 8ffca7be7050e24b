import { dryingHours, USUAL_CLIMATE } from './drying'
import { ON_PLACE, stepsOf, type StepFacts } from './planSteps'

const facts: StepFacts = {
  buys: false,
  mixes: false,
  silicone: false,
  accents: false,
  finish: 'none',
  delivered: false,
  filmMm: 1.2,
  solids: 0.3,
  climate: USUAL_CLIMATE,
}
const keys = (more: Partial<StepFacts>) => stepsOf({ ...facts, ...more }).map((s) => s.key)

describe('steps of a plan, in the order of the trade', () => {
  it('at the least: prepare, pour, dry, look', () => expect(keys({})).toEqual(['prepare', 'pour', 'dry', 'look']))
  it('all of them: buy, mix, rest, and after drying clean, accents, varnish, cure, photograph, deliver', () =>
    expect(
      keys({ buys: true, mixes: true, silicone: true, accents: true, finish: 'varnish', delivered: true }),
    ).toEqual([
      'buy',
      'mix',
      'rest',
      'prepare',
      'pour',
      'dry',
      'look',
      'clean off silicone',
      'accents',
      'varnish',
      'cure',
      'photograph',
      'deliver',
    ]))
  it('what is done is left out and holds nothing up, and hours the maker knows stand', () => {
    const steps = stepsOf({ ...facts, mixes: true, done: ['mix', 'rest', 'prepare'], hours: { dry: 30 } })
    expect(steps.map((s) => [s.key, s.after])).toEqual([
      ['pour', []],
      ['dry', ['pour']],
      ['look', ['dry']],
    ])
    expect(steps[1]!.hours).toBe(30)
  })
  it('silicone is cleaned off only where a finish goes on', () =>
    expect(keys({ silicone: true })).not.toContain('clean off silicone'))
  it('dries as its film and room say; varnish waits 72 h after that, resin for weeks (common practice; by its sheet)', () => {
    const steps = stepsOf({ ...facts, finish: 'varnish' })
    expect(steps.find((s) => s.key === 'dry')!.hours).toBe(dryingHours(1.2, 0.3).through)
    expect(steps.find((s) => s.key === 'varnish')!.waitHours).toBe(72)
    expect(stepsOf({ ...facts, finish: 'resin' }).find((s) => s.key === 'resin')!.waitHours).toBe(336)
  })
  it('pouring waits for what rests and for what is prepared, and lies on a place until dry', () => {
    const pour = stepsOf({ ...facts, mixes: true }).find((s) => s.key === 'pour')!
    expect([...pour.after].sort()).toEqual(['prepare', 'rest'])
    expect(ON_PLACE).toEqual(['pour', 'dry'])
  })
})
