import { gaussian, random } from '../../../tests/support/random'
import { drawn } from '../../../tests/support/thorough'
import { beliefOf, priorsOf, type CurveKey, type Logged } from './curves'
import { BATCH_TAU, START_BELIEFS, type Belief, type CurvePoint } from './dilution'
import { trySigma } from './levelTime'
import { TECHNIQUES } from '../technique/techniques'
import { normalCdf } from '../probability/normal'
import { adviseWater, aimOf, closed, MEDIUM_THINS } from './waterAdvice'

const sure = (a: number, b: number): Belief => ({ a, b, varA: 1e-8, covAb: 0, varB: 1e-8 })

describe('the advice on water', () => {
  // Read all along, so that nothing of its curve is guessed.
  const readW = Array.from({ length: 60 }, (_, i) => i / 100)
  const wish = { w: 0, undilutedUl: 100_000, bandS: [1, 2] as const, roomUl: 1e9, readW }
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

  it('is less sure of what lies far from every reading, and gives a wider range', () => {
    const belief = sure(Math.log(4), 10)
    const [near, far] = [adviseWater({ ...wish, belief }), adviseWater({ ...wish, belief, readW: [0] })]
    expect(far.chance).toBeLessThan(near.chance - 0.01)
    expect(far.rangeUl[1] - far.rangeUl[0]).toBeGreaterThan(3 * (near.rangeUl[1] - near.rangeUl[0]))
  })
})

/** ln t of a paint by its water, in the worlds a paint may live in; `b` is its slope where nothing was added yet. */
const WORLDS: Readonly<Record<string, (a: number, b: number, w: number) => number>> = {
  straight: (a, b, w) => a - b * w,
  // η = (1 − φ/φm)^(−2.5 φm), φm = 0.6 (Krieger & Dougherty 1959, from memory), diluted by 1 + w.
  'a thick suspension': (a, b, w) => {
    const packed = b / 1.5 / (1 + b / 1.5)
    return a - 1.5 * Math.log((1 - packed / (1 + w)) / (1 - packed))
  },
  // A mound held up by a yield stress that falls thrice as fast as the viscosity.
  'a yield stress': (a, b, w) => a - (b / 3) * w + Math.log((1 + 1.5 * Math.exp((-10 / 9) * b * w)) / 2.5),
  'thin late': (a, b, w) => a - (b * w * w) / (w + 0.03),
}

/**
 * Simulated paints, drawn as the start values say paints differ, read with the scatter of a hand (three tries), advised
 * once: how often the first advice lands in the band, how often it said it would, and how often the true need lies in
 * its range.
 */
function landed(world: keyof typeof WORLDS, earlier: number, seed: number) {
  const lnT = WORLDS[world]!
  const next = random(seed)
  let [hit, past, asked, claimed, held] = [0, 0, 0, 0, 0]
  const bodies = ['fluid', 'craft', 'soft', 'heavy'] as const
  for (let n = 0; n < (earlier ? drawn(200, 400) : drawn(600, 2000)); n++) {
    const body = bodies[n % 4]!
    const start = START_BELIEFS[body]
    const b = Math.max(3, start.b + Math.sqrt(start.varB) * gaussian(next))
    const usual = start.a + Math.sqrt(start.varA) * gaussian(next)
    const bandS = TECHNIQUES[n % TECHNIQUES.length]!.levelTimeS
    const key: CurveKey = { paintId: 'p', mediumId: 'm', body, ratio: 2 }
    const read = (a: number, w: number): CurvePoint => {
      const true_ = lnT(a, b, w)
      const sigma = trySigma(Math.exp(true_)) / Math.sqrt(3)
      return { w, lnT: true_ + sigma * gaussian(next), sigma }
    }
    const logs = Array.from({ length: earlier }, (_, i): Logged => {
      const a = usual + BATCH_TAU * gaussian(next)
      return { ...key, id: String(i), points: [0, 0.05, 0.1].map((w) => read(a, w)) }
    })
    const a = usual + BATCH_TAU * gaussian(next)
    const roomUl = 10_000 + 15_000 * next()
    const belief = beliefOf(key, { id: 'own', points: [read(a, 0)] }, logs, priorsOf(logs))
    const readW = logs.flatMap((l) => l.points.map((p) => p.w))
    const advice = adviseWater({ belief, w: 0, undilutedUl: 100_000, bandS, roomUl, readW })
    if (advice.waterUl > roomUl) past++
    if (advice.kind !== 'water') continue
    asked++
    claimed += advice.chance
    const at = (ul: number) => Math.exp(lnT(a, b, ul / 100_000))
    const t = at(advice.waterUl)
    if (t >= bandS[0] && t <= bandS[1]) hit++
    if (at(advice.rangeUl[0]) >= aimOf(bandS) && at(advice.rangeUl[1]) <= aimOf(bandS)) held++
  }
  return { real: hit / asked, claimed: claimed / asked, held: held / asked, past, asked }
}

describe.each(Object.keys(WORLDS))('in a world of paints that are %s', (world) => {
  it('what it claims is what lands, within 8 points, from the start values alone and once titrated', () => {
    for (const earlier of [0, 1, 3]) {
      const { real, claimed, past, asked } = landed(world, earlier, 11 + earlier)
      expect(asked).toBeGreaterThan(drawn(60, 120))
      expect(past).toBe(0)
      expect(Math.abs(real - claimed)).toBeLessThanOrEqual(0.08)
      expect(real).toBeGreaterThanOrEqual([0.7, 0.85, 0, 0.89][earlier]!)
    }
  })
})

it('in the straight world three titrations land nine times of ten and more', () => {
  const [prior, three] = [landed('straight', 0, 11), landed('straight', 3, 12)]
  expect(prior.real).toBeGreaterThanOrEqual(0.6)
  expect(three.real).toBeGreaterThanOrEqual(0.89)
  expect(prior.held).toBeGreaterThan(0.72)
})
