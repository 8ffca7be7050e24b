import fc from 'fast-check'
import { MEDIUM_KINDS } from '../paint/properties'
import { blend, EFFECTS, EFFECTS_BY_KIND, nearness, standIns } from './mediumEffects'
import { THINNER_FACTS, THINNERS } from './thinners'

const part = (parts: number, effects: readonly number[], perMl: number | null = 2) => ({
  parts,
  effects,
  densityGPerMl: 1,
  solids: 0.3,
  perMl,
})
const all = (v: number) => EFFECTS.map(() => v)

describe('medium profiles', () => {
  it('have ten effects from 0 to 3 for every kind', () => {
    expect(EFFECTS).toHaveLength(10)
    for (const kind of MEDIUM_KINDS) {
      expect(EFFECTS_BY_KIND[kind]).toHaveLength(10)
      expect(EFFECTS_BY_KIND[kind].every((v) => v >= 0 && v <= 3)).toBe(true)
    }
  })
  // Common practice, no published source.
  it('say what makers say of them', () => {
    const of = (kind: keyof typeof EFFECTS_BY_KIND, effect: (typeof EFFECTS)[number]) =>
      EFFECTS_BY_KIND[kind][EFFECTS.indexOf(effect)]
    expect(of('conditioner', 'tiny cells')).toBe(3)
    expect(of('glue', 'clarity between layers')).toBe(3)
    expect(of('gloss medium', 'gloss')).toBe(3)
    expect(of('anti-craze medium', 'film strength')).toBe(3)
  })
})

describe('a blend', () => {
  it('is the mean by volume, its price too', () => {
    const mixed = blend([
      part(1, all(3), 4),
      { ...part(3, all(1), 2), densityGPerMl: 1.2, solids: 0.1 },
      part(0, all(9), null),
    ])
    expect(mixed.effects).toEqual(all(1.5))
    expect(mixed.perMl).toBe(2.5)
    expect(mixed.densityGPerMl).toBeCloseTo(1.15, 12)
    expect(mixed.solids).toBeCloseTo(0.15, 12)
    expect(mixed.tooMany).toBe(false)
  })
  it('warns of more than three, and is unpriced where one part is', () => {
    expect(blend([1, 1, 1, 1].map((p) => part(p, all(1)))).tooMany).toBe(true)
    expect(blend([part(1, all(1)), part(1, all(1), null)]).perMl).toBeNull()
    expect(() => blend([part(0, all(1))])).toThrow('above zero')
  })
})

describe('stand-ins', () => {
  it('find the blend that is the medium, and prefer the simpler one', () => {
    const [a, b, c] = [EFFECTS_BY_KIND.conditioner, EFFECTS_BY_KIND['clear varnish'], EFFECTS_BY_KIND.glue]
    const hidden = EFFECTS.map((_, i) => (3 * a[i]! + b[i]!) / 4)
    const [best] = standIns(hidden, [a, b, c])
    expect(best).toMatchObject({
      parts: [
        { index: 0, parts: 3 },
        { index: 1, parts: 1 },
      ],
      nearness: 1,
    })
    expect(standIns(a, [a, b, c])[0]!.parts).toEqual([{ index: 0, parts: 1 }])
  })
  it('are at most as near as the same, and never use more than three', () => {
    const profile = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 10, maxLength: 10 })
    fc.assert(
      fc.property(profile, fc.array(profile, { minLength: 1, maxLength: 4 }), (wanted, others) => {
        const found = standIns(wanted, others)
        const single = Math.max(...others.map((o) => nearness(wanted, o)))
        expect(Math.max(...found.map((f) => f.nearness))).toBeGreaterThanOrEqual(single - 0.03)
        expect(found.every((f) => f.parts.length <= 3 && f.nearness <= 1 && f.nearness >= 0)).toBe(true)
      }),
      { numRuns: 40 },
    )
  })
})

describe('thinners', () => {
  // Common practice, no published source: days with tap, weeks with purified, 8 to 10 months with distilled.
  it('keep a mix from days to months', () => {
    const days = THINNERS.map((t) => THINNER_FACTS[t].keepsDays)
    expect(days[0]).toBeLessThanOrEqual(7)
    expect(days[1]).toBeGreaterThanOrEqual(14)
    expect(days[2]! / 30).toBeGreaterThanOrEqual(8)
  })
})
