import { pieceFacts, poured } from '../../../tests/support/learning/pouredFacts'
import { factorsOf, isTold } from './factors'

const strengths = (more: Parameters<typeof pieceFacts>[1]) => {
  const { traced, factors } = factorsOf(
    [pieceFacts('a', more)],
    'craters',
    () => [3, 5],
    (t) => t,
  )
  expect(new Set(factors.map((f) => f.key))).toEqual(new Set(traced[0]!.strengths.keys()))
  return traced[0]!.strengths
}

describe('what may have caused a fault', () => {
  it('is every paint and medium by its share, kinds of medium, counted containers, the technique', () => {
    const s = strengths({
      materials: [
        poured('teal', 0.4),
        poured('violet', 0.01),
        poured('flow', 0.5, { kind: 'medium', mediumKind: 'conditioner' }),
      ],
      lots: [{ id: 'tube', materialId: 'teal', name: 'tube of teal', share: 0.4 }],
    })
    expect(s.get('material teal')).toBe(1)
    expect(s.get('material violet')).toBeCloseTo(0.25, 9)
    expect(s.get('medium conditioner')).toBe(1)
    expect(s.get('lot tube')).toBe(1)
    expect(s.get('technique ring')).toBe(1)
  })
  it('is what was done and the air, as far as it was noted, and nothing of what was not', () => {
    const usual = strengths({})
    for (const key of [
      'too thin',
      'too thick',
      'short rest',
      'thick film',
      'much water',
      'silicone',
      'long heat',
      'no heat',
      'damp',
      'dry',
      'cold',
      'hot',
    ])
      expect([key, usual.has(key)]).toEqual([key, false])
    expect(strengths({ levelTimeS: 1.5 }).get('too thin')).toBe(1)
    expect(strengths({ levelTimeS: 2.4 }).get('too thin')).toBeCloseTo(0.25, 9)
    expect(strengths({ levelTimeS: 10 }).get('too thick')).toBe(1)
    expect(strengths({ restHours: 1 }).get('short rest')).toBe(1)
    expect(strengths({ minutesSinceStirred: 5 }).get('just stirred')).toBe(1)
    expect(strengths({ wetMm: 2.8 }).get('thick film')).toBe(1)
    expect(strengths({ waterOfPaint: 0.45 }).get('much water')).toBeCloseTo(0.5, 9)
    expect(strengths({ heatS: 90 }).get('long heat')).toBe(1)
    expect(strengths({ heatS: 0 }).get('no heat')).toBe(1)
    expect(strengths({ humidity: 0.8 }).get('damp')).toBe(1)
    expect(strengths({ humidity: 0.2 }).get('dry')).toBe(1)
    expect(strengths({ celsius: 10 }).get('cold')).toBe(1)
    expect(strengths({ celsius: 31 }).get('hot')).toBe(1)
    expect(strengths({ materials: [poured('oil', 0.001, { kind: 'additive' })] }).get('silicone')).toBe(1)
    const unsaid = strengths({
      levelTimeS: null,
      restHours: null,
      heatS: null,
      humidity: null,
      celsius: null,
      wetMm: 9,
    })
    expect([...unsaid.keys()].filter((k) => !/^(material|medium|technique)/.test(k))).toEqual(['thick film'])
  })
  it('counts pieces that somebody looked at', () => {
    expect(isTold(pieceFacts('a'))).toBe(true)
    expect(isTold(pieceFacts('a', { isLookedAt: false }))).toBe(false)
    expect(isTold(pieceFacts('a', { isLookedAt: false, faults: ['mud'] }))).toBe(true)
  })
})
