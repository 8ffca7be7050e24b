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
import { dynamicViscosity, FLOW_CUPS, kinematicViscosity, secondsPerNu, START_SECONDS_PER_NU } from './flowCup'
import { bandOf, checkBands, START_BANDS, timed, TRY_SIGMA } from './levelTime'
import { pairCurves, perPercent } from './pairs'
import { besideReference, undiluted, wAfter, wAfterMixing } from './reference'
import { techniqueName, techniqueOf, TECHNIQUES } from '../technique/techniques'
import { wantedBand } from './wanted'
import { adviseWater, aimOf, closed, MEDIUM_THINS, normalCdf } from './waterAdvice'

const sure = (a: number, b: number): Belief => ({ a, b, varA: 1e-8, covAb: 0, varB: 1e-8 })

describe('level time', () => {
  it('is the middle of the tries, with how far they lie apart', () => {
    expect(timed([2.1, 1.9, 2])).toMatchObject({ levelTimeS: 2, tries: 3 })
    expect(timed([2.1, 1.9, 2]).spread).toBeCloseTo(0.1, 9)
    expect(timed([1, 4]).levelTimeS).toBeCloseTo(2, 9)
    expect(timed([1]).sigma).toBeCloseTo(TRY_SIGMA, 9)
    expect(timed([2, 2, 2]).sigma).toBeLessThan(timed([1.2, 2, 3]).sigma)
  })
  it('refuses what is no time', () => {
    expect(() => timed([])).toThrow('at least once')
    expect(() => timed([0])).toThrow('between 0 and 600')
    expect(() => timed([Infinity])).toThrow('between 0 and 600')
  })
  it('falls into the bands of the studio', () => {
    // The seconds are common practice, no published source.
    expect([9, 8, 7.9, 2, 1.99, 0.3, 0.1].map((t) => bandOf(t).name)).toEqual([
      'stands',
      'stands',
      'sits',
      'sinks',
      'melts',
      'traces',
      'vanishes',
    ])
    expect(
      bandOf(5, [
        { name: 'thick', fromS: 3 },
        { name: 'thin', fromS: 0 },
      ]).name,
    ).toBe('thick')
  })
  it('takes bands that fall to nothing only', () => {
    expect(checkBands(START_BANDS)).toBe(START_BANDS)
    expect(() => checkBands([{ name: 'a', fromS: 1 }])).toThrow('two bands')
    expect(() =>
      checkBands([
        { name: ' ', fromS: 1 },
        { name: 'b', fromS: 0 },
      ]),
    ).toThrow('a name')
    expect(() =>
      checkBands([
        { name: 'a', fromS: NaN },
        { name: 'b', fromS: 0 },
      ]),
    ).toThrow('as a number')
    expect(() =>
      checkBands([
        { name: 'a', fromS: 1 },
        { name: 'b', fromS: 1 },
      ]),
    ).toThrow('below “a”')
    expect(() =>
      checkBands([
        { name: 'a', fromS: 2 },
        { name: 'b', fromS: 1 },
      ]),
    ).toThrow('0 seconds')
  })
})

describe('what is wanted', () => {
  it('is technique × look × role', () => {
    expect(wantedBand(techniqueOf('straight')!, 'as usual', 'pour')).toEqual([1, 2])
    expect(wantedBand(techniqueOf('ring')!, 'blended', 'pour')).toEqual([2.1, 3.5])
    expect(wantedBand(techniqueOf('straight')!, 'lines kept', 'slip coat')).toEqual([0.68, 1.35])
    expect(techniqueOf('no such')).toBeUndefined()
    expect(techniqueName('no such')).toBe('no such')
  })
})

describe('flow cups', () => {
  // Limits of use as the standards print them (from memory): ASTM D1200 for Ford no. 4, ISO 2431 for 3, 4 and 6 mm.
  it.each([
    ['ford-4', 20, 59.65],
    ['ford-4', 100, 367.33],
    ['iso-3', 30, 6.62],
    ['iso-3', 100, 42.3],
    ['iso-4', 30, 34.43],
    ['iso-4', 100, 135],
    ['iso-6', 30, 188],
    ['iso-6', 100, 684.3],
  ] as const)('%s: %d s is %d mm²/s', (cup, seconds, nu) => expect(kinematicViscosity(cup, seconds)).toBeCloseTo(nu, 1))
  it('meets the ranges ISO 2431 gives for its cups, 7–42, 34–135 and 188–684 mm²/s', () => {
    const range = (key: string) =>
      FLOW_CUPS.find((c) => c.key === key)!.rangeS.map((t) => Math.round(kinematicViscosity(key, t)))
    expect([range('iso-3'), range('iso-4'), range('iso-6')]).toEqual([
      [7, 42],
      [34, 135],
      [188, 684],
    ])
  })
  it('says which cup to take when the time is outside', () => {
    expect(() => kinematicViscosity('iso-4', 20)).toThrow('narrower')
    expect(() => kinematicViscosity('iso-4', 101)).toThrow('wider')
    expect(() => kinematicViscosity('iso-4', NaN)).toThrow('good for 30 to 100 s')
    expect(() => kinematicViscosity('spoon', 50)).toThrow('Choose a flow cup')
  })
  it('becomes a level time by the studio’s own pairs', () => {
    expect(dynamicViscosity(100, 1.2)).toBeCloseTo(120, 9)
    expect(secondsPerNu([])).toBeCloseTo(START_SECONDS_PER_NU, 12)
    const pairs = Array.from({ length: 50 }, () => ({ levelTimeS: 2, nu: 100 }))
    expect(secondsPerNu(pairs)).toBeCloseTo(0.02, 3)
  })
})

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

describe('the advice on water', () => {
  const wish = { w: 0, undilutedUl: 100_000, bandS: [1, 2] as const, roomUl: 1e9 }
  it('has the normal distribution of a table', () => {
    // Abramowitz & Stegun, table 26.1.
    for (const [x, p] of [
      [0, 0.5],
      [1, 0.84134],
      [1.96, 0.975],
      [-1.2816, 0.1],
    ] as const)
      expect(normalCdf(x)).toBeCloseTo(p, 4)
  })
  it('is the water of the curve where the curve is known', () => {
    const a = adviseWater({ ...wish, belief: sure(Math.log(4), 10) })
    // From 4 s to the middle √2 s: ln(4/√2)/10 = 0.10397 of 100 ml.
    expect(a.kind).toBe('water')
    expect(a.waterUl / 1000).toBeCloseTo(10.4, 0)
    expect(a.expectedS).toBeGreaterThan(1)
    expect(a.expectedS).toBeLessThan(2)
    expect(a.chance).toBeGreaterThan(0.99)
    expect(a.stepsUl.reduce((s, x) => s + x, 0)).toBe(a.waterUl)
  })
  it('gives a range that is wider the less is known, and steps that are safe by it', () => {
    const known = adviseWater({ ...wish, belief: { ...sure(Math.log(4), 10), varB: 0.2 } })
    const vague = adviseWater({ ...wish, belief: { ...sure(Math.log(4), 10), varB: 4 } })
    const width = (a: typeof known) => a.rangeUl[1] - a.rangeUl[0]
    expect(width(vague)).toBeGreaterThan(2 * width(known))
    expect(vague.rangeUl[0]).toBeLessThanOrEqual(vague.waterUl)
    expect(vague.stepsUl[0]).toBeLessThanOrEqual(Math.max(vague.rangeUl[0], vague.waterUl / 2))
  })
  it('leaves alone what is as wanted, and knows what brings back what is too thin', () => {
    expect(adviseWater({ ...wish, belief: sure(Math.log(1.5), 10) })).toMatchObject({
      kind: 'good',
      waterUl: 0,
      stepsUl: [],
    })
    const thin = adviseWater({ ...wish, w: 0.2, belief: sure(Math.log(4), 10) })
    expect(thin).toMatchObject({ kind: 'too thin', waterUl: 0 })
    // w from 0.2 to 0.104: the same water in 0.2/0.104 as much.
    expect(thin.unwateredUl / 1000).toBeCloseTo(100 * (0.2 / 0.10397 - 1), -1)
  })
  it('never goes past the limit, and then says how much medium instead', () => {
    const a = adviseWater({ ...wish, roomUl: 4_000, belief: sure(Math.log(4), 10) })
    expect(a).toMatchObject({ kind: 'medium', waterUl: 4_000 })
    expect(a.mediumUl).toBeCloseTo(
      (adviseWater({ ...wish, belief: sure(Math.log(4), 10) }).waterUl - 4_000) / MEDIUM_THINS,
      -2,
    )
    expect(adviseWater({ ...wish, roomUl: 0, belief: sure(Math.log(4), 10) })).toMatchObject({
      kind: 'medium',
      waterUl: 0,
      stepsUl: [],
    })
  })
  it('does not run off to nothing where a band is open below', () => {
    expect(closed([0, 0.4])).toEqual([0.16000000000000003, 0.4])
    expect(aimOf([1, 4])).toBe(2)
    const a = adviseWater({ ...wish, bandS: [0, 0.4], belief: sure(Math.log(2), 10) })
    expect(a.expectedS).toBeGreaterThan(0.16)
    expect(a.expectedS).toBeLessThan(0.4)
  })

  /**
   * Simulated paints of known curves, drawn as the start values say paints differ, read with the noise of a hand (three
   * tries), advised once, and read again: how often the first advice lands in the band, and that it never passes the limit.
   */
  function landed(earlier: number, seed: number): { share: number; past: number; asked: number } {
    const next = random(seed)
    let [hit, past, asked] = [0, 0, 0]
    const bodies = ['fluid', 'craft', 'soft', 'heavy'] as const
    for (let n = 0; n < 1200; n++) {
      const body = bodies[n % 4]!
      const start = START_BELIEFS[body]
      const truth = {
        a: start.a + Math.sqrt(start.varA) * gaussian(next),
        b: Math.max(3, start.b + Math.sqrt(start.varB) * gaussian(next)),
      }
      const technique = TECHNIQUES[n % TECHNIQUES.length]!
      const bandS = technique.levelTimeS
      const key: CurveKey = { paintId: 'p', mediumId: 'm', body, ratio: 2 }
      const read = (a: number, w: number): CurvePoint => ({
        w,
        lnT: a - truth.b * w + (TRY_SIGMA / Math.sqrt(3)) * gaussian(next),
        sigma: TRY_SIGMA / Math.sqrt(3),
      })
      const logs = Array.from({ length: earlier }, (_, i): Logged => {
        const a = truth.a + BATCH_TAU * gaussian(next)
        return { ...key, id: String(i), points: [0, 0.05, 0.1].map((w) => read(a, w)) }
      })
      const a = truth.a + BATCH_TAU * gaussian(next)
      const roomUl = 10_000 + 15_000 * next()
      const belief = beliefOf(key, { id: 'own', points: [read(a, 0)] }, logs, priorsOf(logs))
      const advice = adviseWater({ belief, w: 0, undilutedUl: 100_000, bandS, roomUl })
      if (advice.waterUl > roomUl) past++
      if (advice.kind !== 'water') continue
      asked++
      const t = Math.exp(a - (truth.b * advice.waterUl) / 100_000)
      if (t >= bandS[0] && t <= bandS[1]) hit++
    }
    return { share: hit / asked, past, asked }
  }
  it('lands in the band the first time: from the prior alone in 60 %, after three titrations in 80 % or more', () => {
    const [prior, three] = [landed(0, 11), landed(3, 12)]
    expect([prior.past, three.past]).toEqual([0, 0])
    expect(prior.asked).toBeGreaterThan(500)
    expect(prior.share).toBeGreaterThanOrEqual(0.6)
    expect(three.share).toBeGreaterThanOrEqual(0.8)
    expect(three.share).toBeGreaterThan(prior.share)
  })
})

describe('beside the reference', () => {
  const bottle = (id: string, seconds: number, w = 0, roomUl = 100_000) => ({
    id,
    belief: sure(Math.log(seconds) + 10 * w, 10),
    w,
    undilutedUl: 100_000,
    roomUl,
  })
  it('says who is thicker and how much water makes them agree', () => {
    const [thick, like, thin] = besideReference(bottle('r', 2), [bottle('a', 4, 0.1), bottle('b', 2.2), bottle('c', 1)])
    expect(thick).toMatchObject({ verdict: 'thicker' })
    expect(thick!.thicker).toBeCloseTo(2, 6)
    // ln 2 / 10 of 100 ml.
    expect(thick!.waterUl).toBeCloseTo(6931, -1)
    expect(like).toMatchObject({ verdict: 'alike', waterUl: 0 })
    expect(thin).toMatchObject({ verdict: 'thinner', waterUl: 0 })
  })
  it('never asks for more water than the limit lets in, and says how much medium does the rest', () => {
    const one = (roomUl: number) => besideReference(bottle('r', 2), [bottle('a', 4, 0.1, roomUl)])[0]!
    expect(one(100_000)).toMatchObject({ waterUl: 6_931, mediumUl: 0 })
    expect(one(6_931)).toMatchObject({ waterUl: 6_931, mediumUl: 0 })
    expect(one(2_000)).toMatchObject({ waterUl: 2_000, mediumUl: Math.round(4_931 / MEDIUM_THINS) })
    expect(one(-50)).toMatchObject({ waterUl: 0, mediumUl: Math.round(6_931 / MEDIUM_THINS) })
  })
  it('counts water in a bottle that is partly used: w is of the undiluted mix', () => {
    expect(undiluted(0.25, 125_000)).toBe(100_000)
    // 125 ml at 0.25 are 100 + 25; five more make 30 of 100.
    expect(wAfter(0.25, 125_000, 5_000)).toBeCloseTo(0.3, 9)
    expect(wAfter(0.3, 130_000, -5_000)).toBeCloseTo(0.25, 9)
    expect(wAfter(0.1, 0, 5)).toBe(0.1)
    expect(wAfter(0, 100, -99_999)).toBe(-0.9)
  })
  it('mixed into in its own ratio it stays as watered; with fresh mix it is as much less as there is more of it', () => {
    // 100 ml of a mix that is itself a tenth water, with another ten: w is 0.1.
    const before = { ul: 110_000, waterUl: 20_000 }
    expect(wAfterMixing(0.1, before, { ul: 220_000, waterUl: 40_000 })).toBeCloseTo(0.1, 9)
    const fresh = { ul: 210_000, waterUl: 30_000 }
    expect(wAfterMixing(0.1, before, fresh)).toBeCloseTo(0.05, 9)
    // And back, when it is undone.
    expect(wAfterMixing(0.05, fresh, before)).toBeCloseTo(0.1, 9)
    // Water alone is what `wAfter` says.
    expect(wAfterMixing(0.1, before, { ul: 115_000, waterUl: 25_000 })).toBeCloseTo(wAfter(0.1, 110_000, 5_000), 9)
    expect(wAfterMixing(0.3, { ul: 0, waterUl: 0 }, before)).toBe(0.3)
    expect(wAfterMixing(0.3, before, { ul: 5, waterUl: 5 })).toBe(0.3)
  })
})
