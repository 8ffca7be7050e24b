import type { Checked, Thinned } from './runState'
import { tableAdvice, type TableFlow } from './tableFlow'

const NOW = 1_000_000_000
const flow: TableFlow = {
  ul: 100_000,
  role: 'pour',
  technique: null,
  levelTimeS: 2,
  w: 0.1,
  readW: 0.1,
  curveB: 10,
  thickens: 0,
  readAt: NOW - 86_400_000,
  roomUl: 8_000,
}
const check = (n: number, levelTimeS: number | null): Checked => ({
  n,
  at: NOW,
  levelTimeS,
  sigma: 0.1,
  tries: [],
  how: 'stopwatch',
})
const water = (n: number, ul: number): Thinned => ({ n, at: NOW, bottle: 'x', waterId: 'w', ul })
const band = [1, 1.5] as const

describe('a bottle at the table', () => {
  it('is what the books expect, until it is timed', () => {
    expect(tableAdvice(flow, undefined, [], band, NOW).expectedS).toBeCloseTo(2, 9)
    expect(tableAdvice(flow, check(1, null), [], band, NOW).expectedS).toBeCloseTo(2, 9)
    expect(tableAdvice(flow, check(1, 3), [], band, NOW).expectedS).toBeCloseTo(3, 9)
    expect(tableAdvice({ ...flow, levelTimeS: null }, undefined, [], band, NOW)).toEqual({
      expectedS: null,
      waterUl: 0,
      mediumUl: 0,
      isThin: false,
    })
  })
  it('is thinner by the water added since it was timed, and not by that before', () => {
    // 100 ml with w = 0.1 are 90.909 of mix and 9.091 of water; 4.5455 ml more are w = 0.15: e^−0.5.
    const half = Math.exp(-0.5)
    expect(tableAdvice(flow, check(1, 3), [water(2, 4_545)], band, NOW).expectedS).toBeCloseTo(3 * half, 3)
    expect(tableAdvice(flow, check(2, 3), [water(1, 4_545)], band, NOW).expectedS).toBeCloseTo(3, 9)
    expect(tableAdvice(flow, undefined, [water(1, 4_545)], band, NOW).expectedS).toBeCloseTo(2 * half, 3)
  })
  it('asks for the water that brings it there, medium past the limit, and says where it is too thin', () => {
    const thick = tableAdvice(flow, check(1, 3), [], band, NOW)
    // As advised it comes into the band.
    const after = tableAdvice(flow, check(1, 3), [water(2, thick.waterUl)], band, NOW)
    expect(after.expectedS!).toBeGreaterThan(1)
    expect(after.expectedS!).toBeLessThan(1.5)
    expect(after).toMatchObject({ waterUl: 0, mediumUl: 0, isThin: false })
    const full = tableAdvice({ ...flow, roomUl: 1_000 }, check(1, 3), [], band, NOW)
    expect(full.waterUl).toBe(1_000)
    expect(full.mediumUl).toBeGreaterThan(0)
    expect(tableAdvice({ ...flow, roomUl: 1_000 }, check(1, 3), [water(2, 1_000)], band, NOW).waterUl).toBe(0)
    expect(tableAdvice(flow, check(1, 0.7), [], band, NOW).isThin).toBe(true)
    expect(tableAdvice(flow, check(1, 0.9), [], band, NOW).isThin).toBe(false)
  })
})
