import { inSteps } from './inSteps'

describe('a formula scaled to a batch', () => {
  const formula = [
    { id: 'blue', parts: 1, pull: 14 },
    { id: 'white', parts: 16, pull: 14 },
    { id: 'ochre', parts: 3, pull: 4 },
  ]
  it('adds the weak at once and the strong last: half, half of the rest, the rest, each with a look', () => {
    const steps = inSteps(formula, 400_000)
    expect(steps.map((s) => [s.id, s.ul, s.look])).toEqual([
      ['white', 320_000, false],
      ['ochre', 60_000, false],
      ['blue', 10_000, true],
      ['blue', 5_000, true],
      ['blue', 5_000, true],
    ])
    expect(steps.reduce((sum, s) => sum + s.ul, 0)).toBe(400_000)
    expect(steps.at(-1)!.soFarUl).toBe(20_000)
  })
  it('does not split what is a few drops, but still asks for a look', () => {
    const last = inSteps(formula, 10_000).filter((s) => s.id === 'blue')
    expect(last).toEqual([{ id: 'blue', ul: 500, soFarUl: 500, look: true, strong: true }])
  })
  it('a paint by itself is never strong, and sums are exact for awkward totals', () => {
    expect(inSteps([{ id: 'blue', parts: 1, pull: 0 }], 1000)).toEqual([
      { id: 'blue', ul: 1000, soFarUl: 1000, look: false, strong: false },
    ])
    expect(inSteps(formula, 333_333).reduce((sum, s) => sum + s.ul, 0)).toBe(333_333)
  })
})
