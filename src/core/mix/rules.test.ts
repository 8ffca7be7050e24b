import { MEDIUM_KINDS } from '../paint/properties'
import { extendTo, fluidOunceError, scaledAmounts } from './amounts'
import { applySchool, houseRatioOf, NO_RULES, schoolsOf, type Choosable, type HouseRules } from './houseRules'
import type { Ingredient } from './recipe'
import { BASES, SCHOOLS } from './schools'

const drawer: Choosable[] = [
  ...MEDIUM_KINDS.map((mediumKind) => ({ id: mediumKind, kind: 'medium' as const, mediumKind })),
  { id: 'paint', kind: 'paint', mediumKind: null },
]
const school = (key: string) => [...SCHOOLS, ...BASES].find((s) => s.key === key)!

describe('the schools of mixing', () => {
  // The numbers are common practice, no published source.
  it.each([
    ['ratio-3', 3, 1, 0, ['conditioner']],
    ['one-bottle', 7, 1, 0, ['one-bottle base']],
    ['glue', 2, 1, 0, ['conditioner', 'glue']],
    ['gloss', 11, 1, 0.25, ['gloss medium', 'conditioner']],
    ['enamel-white', 10, 4, 0.5, ['enamel or house paint', 'conditioner']],
    ['swipe', 3, 1, 0, ['conditioner']],
    ['water-only', 0, 1, 0.3, []],
    ['base-glue', 60, 0, 40, ['glue']],
    ['base-thinner', 10, 0, 90, ['conditioner']],
  ] as const)('%s is %d : %d, water %d', (key, medium, paint, water, mediums) => {
    const applied = applySchool(school(key), drawer)
    expect(applied).toMatchObject({ medium, paint, water, missing: [] })
    expect(applied.mediums.map((m) => m.id)).toEqual(mediums)
  })
  it('have more paint than conditioner for a pearl base', () => {
    const { medium, paint } = applySchool(school('pearl-base'), drawer)
    expect(paint).toBeGreaterThan(medium - 0.2)
  })
  it('name what is not in the drawer, and take the rest', () => {
    const applied = applySchool(school('glue'), drawer.slice(0, 1))
    expect(applied.missing).toEqual(['glue'])
    expect(applied.mediums).toEqual([{ id: 'conditioner', parts: 1 }])
    expect(applySchool(school('ratio-3'), []).missing).toEqual(['a medium'])
  })
  it('are the studio’s own where it changed them', () => {
    const rules: HouseRules = {
      ...NO_RULES,
      schools: new Map([['swipe', { lines: [{ what: 'paint', parts: 1 }], steps: ['a'] }]]),
    }
    const swipe = schoolsOf(rules).find((s) => s.key === 'swipe')!
    expect(swipe).toMatchObject({ lines: [{ what: 'paint', parts: 1 }], steps: ['a'], source: 'house rule' })
    expect(schoolsOf(NO_RULES)).toEqual([...SCHOOLS, ...BASES])
    expect(new Set(schoolsOf(NO_RULES).map((s) => s.key)).size).toBe(SCHOOLS.length + BASES.length)
  })
  it('have a ratio by paint before one by body before the usual', () => {
    const rules: HouseRules = {
      byBody: { soft: { medium: 2.5, paint: 1 } },
      byPaint: new Map([['plum', { medium: 5, paint: 1, note: '' }]]),
      schools: new Map(),
    }
    expect(houseRatioOf({ id: 'plum', body: 'soft' }, rules)).toMatchObject({ medium: 5, from: 'for this paint' })
    expect(houseRatioOf({ id: 'teal', body: 'soft' }, rules)).toMatchObject({ medium: 2.5, from: 'house rule by body' })
    expect(houseRatioOf({ id: 'teal', body: 'heavy' }, rules)).toMatchObject({ medium: 3, paint: 1, from: 'by body' })
    expect(houseRatioOf(undefined, NO_RULES)).toMatchObject({ medium: 2 })
  })
})

describe('amounts', () => {
  const list: Ingredient[] = [
    { materialId: 'teal', kind: 'paint', parts: 1 },
    { materialId: 'flow', kind: 'medium', parts: 2 },
  ]
  it('are scaled by total, by one ingredient, by what is left of one, and by cups', () => {
    expect(scaledAmounts(list, { by: 'total', ul: 300 })).toEqual([100, 200])
    expect(scaledAmounts(list, { by: 'ingredient', materialId: 'flow', ul: 50 })).toEqual([25, 50])
    expect(scaledAmounts(list, { by: 'left', materialId: 'teal', leftUl: 40 })).toEqual([40, 80])
    expect(scaledAmounts(list, { by: 'cups', cups: 1.5, cupUl: 200 })).toEqual([100, 200])
  })
  it('say what to type where they cannot be', () => {
    expect(() => scaledAmounts(list, { by: 'cups', cups: 0, cupUl: 90 })).toThrow('how many cups')
    expect(() => scaledAmounts(list, { by: 'ingredient', materialId: 'x', ul: 1 })).toThrow('Choose the ingredient')
    expect(() => scaledAmounts(list, { by: 'left', materialId: 'teal', leftUl: null })).toThrow('Nobody has counted')
    expect(() => scaledAmounts(list, { by: 'left', materialId: 'teal', leftUl: 0 })).toThrow('Nothing is left')
  })
  it('extend a bottle in the ratio of what it holds', () => {
    const content = [
      { materialId: 'a', ul: 100_000 },
      { materialId: 'b', ul: 199_999 },
      { materialId: 'c', ul: 1 },
    ]
    const more = extendTo(content, 400_000)
    expect(more.reduce((s, m) => s + m.ul, 0)).toBe(100_000)
    expect(more).toEqual([
      { materialId: 'a', ul: 33_333 },
      { materialId: 'b', ul: 66_667 },
    ])
    expect(() => extendTo(content, 300_000)).toThrow('that much already')
    expect(() => extendTo([], 10)).toThrow('empty')
  })
  it('know how far a scale in fluid ounces is off', () => {
    // 29.57 g, which the scale calls 1 fl oz, are 23.66 ml of a paint of 1.25 g/ml.
    expect(fluidOunceError(1.25)).toBeCloseTo(0.2, 12)
    expect(fluidOunceError(0.8)).toBeCloseTo(-0.25, 12)
    expect(fluidOunceError(1)).toBe(0)
  })
})
