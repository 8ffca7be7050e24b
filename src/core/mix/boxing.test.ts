import { hexToLab } from '../colour/lab'
import { opticsFromHex } from '../colour/paintOptics'
import { boxing, farthestApart } from './boxing'

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
