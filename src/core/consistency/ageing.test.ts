import { linearRegression, mean } from 'simple-statistics'
import { gaussian, random } from '../../../tests/support/random'
import { afterStanding, daysBetween, learnAgeing, START_AGEING, stoodFor, type StoodPoint } from './ageing'
import { forecast, START_BELIEFS } from './dilution'

const point = (days: number, lnT: number, w = 0, sigma = 0.05): StoodPoint => ({ days, lnT, w, sigma })
const log = (...points: StoodPoint[]) => ({ body: 'soft' as const, points })

describe('thickening by standing', () => {
  it('is the start value until a bottle was read again after it had stood', () => {
    expect(learnAgeing([])).toEqual(START_AGEING)
    expect(learnAgeing([log(point(0, 1)), log(point(0, 1), point(1.9, 1.4))])).toEqual(START_AGEING)
  })
  it('is found again in simulated bottles, and surer the more of them there are', () => {
    const next = random(5)
    const bottles = (count: number, perDay: number) =>
      Array.from({ length: count }, () => {
        const own = perDay + 0.002 * gaussian(next)
        const a = 1 + 0.3 * gaussian(next)
        return log(...[0, 20, 60].map((d) => point(d, a + own * d + 0.05 * gaussian(next))))
      })
    for (const truth of [0.001, 0.004, 0.01]) {
      const few = learnAgeing(bottles(3, truth))
      const many = learnAgeing(bottles(200, truth))
      expect(Math.abs(many.perDay - truth)).toBeLessThan(0.0006)
      expect(many.sd).toBeLessThan(few.sd / 4)
      expect(Math.abs(few.perDay - truth)).toBeLessThan(3 * few.sd)
    }
  })
  it('is the slope through the origin of a library where the prior is wide and every pair is alike', () => {
    const next = random(9)
    const rises = Array.from({ length: 12 }, () => 0.1 + 0.05 * gaussian(next))
    const { perDay } = learnAgeing(
      rises.map((r) => log(point(0, 1), point(20, 1 + r))),
      { perDay: 0, sd: 1e6 },
    )
    // Mirrored at the origin, their line has no intercept.
    const theirs = linearRegression([...rises.map((r) => [20, r]), ...rises.map((r) => [-20, -r])])
    expect(perDay).toBeCloseTo(theirs.m, 9)
    expect(perDay).toBeCloseTo(mean(rises) / 20, 9)
  })
  it('takes out the water that was added between, and trusts such a pair less', () => {
    const { b } = START_BELIEFS.soft
    const dry = learnAgeing([log(point(0, 1), point(30, 1.3))])
    const watered = learnAgeing([log(point(0, 1), point(30, 1.3 - b * 0.05, 0.05))])
    expect(dry.perDay).toBeGreaterThan(START_AGEING.perDay + 0.002)
    expect(watered.perDay).toBeGreaterThan(START_AGEING.perDay)
    expect(watered.perDay).toBeLessThan(dry.perDay)
    expect(watered.sd).toBeGreaterThan(dry.sd)
  })
  it('is never below nothing: what seems thinner was shaken better', () => {
    const lots = Array.from({ length: 50 }, () => log(point(0, 1), point(30, 0.5)))
    expect(learnAgeing(lots).perDay).toBe(0)
  })
  it('moves readings to one age, and a belief to now, with what is unsure of it growing with the days', () => {
    const ageing = { perDay: 0.01, sd: 0 }
    const moved = stoodFor([point(0, 1), point(30, 1.3)], ageing, 10)
    expect(moved.map((p) => [p.days, Math.round(1000 * p.lnT) / 1000])).toEqual([
      [10, 1.1],
      [10, 1.1],
    ])
    const fresh = START_BELIEFS.soft
    const now = afterStanding(fresh, ageing, 20)
    expect(forecast(now, 0.03).lnT).toBeCloseTo(forecast(fresh, 0.03).lnT + 0.2, 9)
    // 0.002 a day between bottles, twenty days.
    expect(now.varA - fresh.varA).toBeCloseTo(0.04 ** 2, 9)
    expect(afterStanding(fresh, START_AGEING, 0)).toEqual(fresh)
  })
  it('counts days, and never backwards', () => {
    expect(daysBetween(0, 129_600_000)).toBe(1.5)
    expect(daysBetween(5, 0)).toBe(0)
  })
})
