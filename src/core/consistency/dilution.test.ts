import { linearRegression } from 'simple-statistics'
import { gaussian, random } from '../../../tests/support/random'
import { beliefOf, curveOf, priorsOf, type CurveKey, type Logged } from './curves'
import { keyOf } from './curveKey'
import {
  BATCH_TAU,
  forecast,
  learn,
  ofBatch,
  priorFrom,
  START_BELIEFS,
  tauOf,
  type Belief,
  type CurvePoint,
} from './dilution'
import { pairCurves, perPercent } from './pairs'

const sure = (a: number, b: number): Belief => ({ a, b, varA: 1e-8, covAb: 0, varB: 1e-8 })

describe('the dilution curve', () => {
  const points = (a: number, b: number, ws: readonly number[], sigma = 0.1, next?: () => number): CurvePoint[] =>
    ws.map((w) => ({ w, lnT: a - b * w + (next ? sigma * gaussian(next) : 0), sigma }))

  it('is ordinary least squares of a library as the prior grows wide', () => {
    const next = random(7)
    const list = points(1.4, 11, [0, 0.02, 0.05, 0.08, 0.11], 0.1, next)
    const wide: Belief = { a: 0, b: 0, varA: 1e8, covAb: 0, varB: 1e8 }
    const own = learn(wide, [{ points: list, tau: 0 }])
    const theirs = linearRegression(list.map((p) => [p.w, p.lnT]))
    expect(own.a).toBeCloseTo(theirs.b, 6)
    expect(own.b).toBeCloseTo(-theirs.m, 4)
    // Narrow, it stays with what was believed.
    const narrow = learn({ a: 0, b: 5, varA: 1e-6, covAb: 0, varB: 1e-6 }, [{ points: list, tau: 0 }])
    expect([narrow.a, narrow.b].map((v) => Math.round(v * 100) / 100)).toEqual([0, 5])
  })
  it('learns the same from readings at once and one after another', () => {
    const list = points(1.2, 12, [0, 0.04, 0.09], 0.1, random(3))
    const prior = START_BELIEFS.soft
    const whole = learn(prior, [{ points: list, tau: 0 }])
    const steps = list.reduce((belief, p) => learn(belief, [{ points: [p], tau: 0 }]), prior)
    for (const k of ['a', 'b', 'varA', 'covAb', 'varB'] as const) expect(steps[k]).toBeCloseTo(whole[k], 9)
  })
  it('takes many readings of one batch for one batch: its offset stays open', () => {
    const many = learn(START_BELIEFS.soft, [{ points: points(2, 11, new Array<number>(200).fill(0)), tau: BATCH_TAU }])
    expect(Math.sqrt(many.varA)).toBeGreaterThan(0.9 * BATCH_TAU)
    const exact = learn(START_BELIEFS.soft, [{ points: points(2, 11, new Array<number>(200).fill(0)), tau: 0 }])
    expect(Math.sqrt(exact.varA)).toBeLessThan(0.02)
  })
  it('forecasts with the error of a line: smallest among its readings', () => {
    const belief = learn(START_BELIEFS.soft, [{ points: points(1.5, 11, [0.02, 0.04, 0.06]), tau: 0 }])
    expect(forecast(belief, 0.04).sd).toBeLessThan(forecast(belief, 0).sd)
    expect(forecast(belief, 0.04).sd).toBeLessThan(forecast(belief, 0.15).sd)
    expect(forecast(belief, 0.04).lnT).toBeCloseTo(1.06, 1)
  })
  it('moves its prior with the studio’s own curves, the start values counting as three', () => {
    const start = START_BELIEFS.craft
    expect(priorFrom(start, [])).toEqual(start)
    const moved = priorFrom(start, new Array<Belief>(3).fill(sure(start.a + 1, start.b + 4)))
    expect(moved.a).toBeCloseTo(start.a + 0.5, 9)
    expect(moved.b).toBeCloseTo(start.b + 2, 9)
    expect(moved.varA).toBeCloseTo(start.varA / 2 + 0.25, 6)
    expect(moved.covAb).toBeGreaterThan(0)
  })
  it('trusts another ratio less', () => {
    expect(tauOf(2, 2)).toBe(BATCH_TAU)
    expect(tauOf(2, 4)).toBeGreaterThan(tauOf(2, 2.5))
    expect(ofBatch(sure(1, 10)).varA).toBeCloseTo(BATCH_TAU ** 2, 6)
  })
  it('is kept by paint and medium, and a mix is judged by the others and itself', () => {
    const key: CurveKey = { paintId: 'teal', mediumId: 'flow', body: 'soft', ratio: 2 }
    const log = (id: string, more: Partial<Logged> = {}): Logged => ({
      ...key,
      id,
      points: points(1.0, 15, [0, 0.05, 0.1]),
      ...more,
    })
    const logs = [log('1'), log('2'), log('3', { paintId: 'white', points: points(2, 8, [0, 0.1]) })]
    const priors = priorsOf(logs)
    expect(priors.get('heavy')).toEqual(START_BELIEFS.heavy)
    expect(priors.get('soft')!.b).not.toBe(START_BELIEFS.soft.b)
    const teal = curveOf(key, logs, priors)
    const white = curveOf({ ...key, paintId: 'white' }, logs, priors)
    expect(teal.b).toBeGreaterThan(white.b + 2)
    // Its own readings are not counted twice, and outweigh the others.
    const own = { id: '1', points: points(2.2, 15, [0]) }
    expect(beliefOf(key, own, logs, priors).a).toBeGreaterThan(1.8)
    expect(beliefOf(key, undefined, logs, priors).varA).toBeGreaterThan(teal.varA)
    // A single reading tells nothing of how water thins.
    expect(priorsOf([log('1', { points: points(1, 15, [0]) })]).get('soft')).toEqual(START_BELIEFS.soft)
  })
  it('is listed by pair, those read most first, with what one per cent of water does', () => {
    const key: CurveKey = { paintId: 'teal', mediumId: 'flow', body: 'soft', ratio: 2 }
    const list = pairCurves([
      { ...key, paintId: 'white', id: '1', points: points(1, 12, [0]) },
      { ...key, id: '2', points: points(1, 12, [0, 0.1]) },
      { ...key, id: '3', points: points(1, 12, [0.05]) },
      { ...key, paintId: 'none', id: '4', points: [] },
    ])
    expect(list.map((p) => [p.key.paintId, p.points.length, p.mixes])).toEqual([
      ['teal', 3, 2],
      ['white', 1, 1],
    ])
    expect(perPercent(list[0]!.curve)).toBeCloseTo(Math.exp(-0.118), 2)
  })
  it('knows what a mix is by what there is most of', () => {
    const row = (materialId: string, kind: string, ul: number, body: 'soft' | null = null) => ({
      materialId,
      kind,
      ul,
      body,
    })
    expect(
      keyOf([
        row('a', 'paint', 10),
        row('b', 'paint', 30, 'soft'),
        row('m', 'medium', 60),
        row('n', 'medium', 20),
        row('w', 'water', 99),
      ]),
    ).toEqual({ paintId: 'b', mediumId: 'm', body: 'soft', ratio: 2 })
    expect(keyOf([row('m', 'medium', 60)])).toEqual({ paintId: null, mediumId: 'm', body: 'fluid', ratio: 0 })
  })
})
