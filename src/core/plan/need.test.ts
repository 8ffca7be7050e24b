import { surface } from '../../../tests/support/design'
import { ML_PER_FL_OZ } from '../quantity/units'
import { roundUp, surfaceNeeds } from './need'

const OZ = ML_PER_FL_OZ * 1000
const inches = (l: number, w: number, count = 1) =>
  ({ shape: 'rectangle', lengthMm: l * 25.4, widthMm: w * 25.4, edgeMm: 0, count }) as const
const rule = { kind: 'rule-of-28' } as const

describe('what surfaces want', () => {
  it('16 × 20 in wants 11.43 fl oz, rounded 12 (common practice)', () => {
    const [exact] = surfaceNeeds([surface('a', { surface: inches(16, 20) })], rule, 'exact')
    expect(exact!.pourUl / OZ).toBeCloseTo(11.43, 2)
    const [rounded] = surfaceNeeds([surface('a', { surface: inches(16, 20) })], rule, 'ounce')
    expect(rounded!.pourUl / OZ).toBeCloseTo(12, 4)
    expect(roundUp(exact!.pourUl, 'half ounce') / OZ).toBeCloseTo(11.5, 4)
  })
  it('what stands on a mark stays there', () => {
    expect(roundUp(50_000, '50 ml')).toBe(50_000)
    expect(roundUp(50_001, '50 ml')).toBe(100_000)
    expect(roundUp(Math.round(12 * OZ), 'ounce')).toBe(Math.round(12 * OZ))
  })
  it('a vase over a panel wants the larger of both, not their sum (common practice)', () => {
    const vase = (ul: number) =>
      surface('vase', { surface: { shape: 'area', areaMm2: ul / 1.637, edgeMm: 0, count: 1 }, feeds: 'panel' })
    const panel = surface('panel', { surface: { shape: 'area', areaMm2: 200_000 / 1.637, edgeMm: 0, count: 1 } })
    for (const vaseUl of [120_000, 300_000]) {
      const needs = surfaceNeeds([panel, vase(vaseUl)], rule, 'exact')
      const total = needs.reduce((sum, n) => sum + n.pourUl, 0)
      expect(total).toBe(Math.max(...needs.map((n) => n.aloneUl)))
      expect(needs[0]!.landsUl).toBe(needs[1]!.pourUl)
    }
  })
  it('a chain of three passes on what it got itself', () => {
    const one = (id: string, ml: number, feeds: string | null) =>
      surface(id, { surface: inches(1, 1), feeds, cover: ml })
    // The rule over one square inch is 1.0562 ml; cover stands in for size here.
    const needs = surfaceNeeds([one('a', 1, 'b'), one('b', 0.2, 'c'), one('c', 0.9, null)], rule, 'exact')
    expect(needs.map((n) => n.pourUl)).toEqual([1056, 0, 0])
    expect(needs[2]!.landsUl).toBe(1056)
  })
  it('two vases over one panel both count', () => {
    const vase = (id: string) =>
      surface(id, { surface: { shape: 'area', areaMm2: 30_000, edgeMm: 0, count: 1 }, feeds: 'panel' })
    const panel = surface('panel', { surface: { shape: 'area', areaMm2: 100_000, edgeMm: 0, count: 1 } })
    const [, , below] = surfaceNeeds([vase('v'), vase('w'), panel], rule, 'exact')
    expect(below!.pourUl).toBe(below!.aloneUl - 2 * surfaceNeeds([vase('v')], rule, 'exact')[0]!.pourUl)
  })
  it('refuses a chain that feeds itself, and names it', () => {
    const ring = [surface('a', { feeds: 'b' }), surface('b', { feeds: 'c' }), surface('c', { feeds: 'a' })]
    expect(() => surfaceNeeds(ring, rule, 'exact')).toThrow(
      /run in a circle: (a → b → c → a|b → c → a → b|c → a → b → c)\. Take one/,
    )
    expect(() => surfaceNeeds([surface('a', { feeds: 'a' })], rule, 'exact')).toThrow('a → a')
  })
})
