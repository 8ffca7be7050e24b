import { gaussian, random } from '../../../tests/support/random'
import { beliefOf, priorsOf, type CurveKey, type Logged } from './curves'
import { BATCH_TAU, START_BELIEFS, type Belief, type CurvePoint } from './dilution'
import { TRY_SIGMA } from './levelTime'
import { TECHNIQUES } from '../technique/techniques'
import { adviseWater, aimOf, closed, MEDIUM_THINS, normalCdf } from './waterAdvice'

const sure = (a: number, b: number): Belief => ({ a, b, varA: 1e-8, covAb: 0, varB: 1e-8 })

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
