import { hexToLab } from '../colour/lab'
import { opticsFromHex } from '../colour/paintOptics'
import { boxing, farthestApart } from './boxing'
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

describe('boxing', () => {
  const one = opticsFromHex('#136a78', 'normal')
  const two = opticsFromHex('#1f7f86', 'normal')
  it('containers that are alike need none', () => {
    expect(boxing([one, one], [1, 1], 0.5)).toEqual({ apart: [0], passes: 0 })
  })
  it('brings two together by (1 − f) / (1 + f) a pass', () => {
    const { apart, passes } = boxing([one, two], [1000, 1000], 0.5)
    expect(apart[0]).toBeGreaterThan(3)
    expect(apart[1]! / apart[0]!).toBeGreaterThan(0.25)
    expect(apart[1]! / apart[0]!).toBeLessThan(0.42)
    expect(apart.at(-1)).toBeLessThan(0.5)
    expect(passes).toBe(apart.length - 1)
  })
  it('takes more passes with little room, and gives up where there is none', () => {
    expect(boxing([one, two], [1, 1], 0.1).passes!).toBeGreaterThan(boxing([one, two], [1, 1], 0.5).passes!)
    expect(boxing([one, two], [1, 1], 0).passes).toBeUndefined()
  })
  it('works round three, and small ones with large', () => {
    const three = boxing([one, two, one], [1000, 500, 2000], 0.6)
    expect(three.passes).toBeGreaterThan(0)
    expect(three.apart.at(-1)).toBeLessThan(0.5)
  })
  it('measures by the two most unlike', () => {
    const labs = ['#136a78', '#14696f', '#f2b814'].map(hexToLab)
    expect(farthestApart(labs)).toBeGreaterThan(40)
    expect(farthestApart(labs.slice(0, 1))).toBe(0)
  })
})
