import { DEFAULTS_BY_MEDIUM, MEDIUM_KINDS } from '../paint/properties'
import { applySchool, houseRatioOf, NO_RULES, schoolsOf, type Choosable, type HouseRules } from './houseRules'
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
    ['glue', 1.6, 1, 0.4, ['conditioner', 'glue']],
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
  it('thins glue once: with the usual glue a third of the mix is glue and water, 60 : 40', () => {
    const { water } = applySchool(school('glue'), drawer)
    const glue = 0.6
    expect(water + glue * DEFAULTS_BY_MEDIUM.glue.waterShare).toBeCloseTo(0.4, 12)
    expect((glue * DEFAULTS_BY_MEDIUM.glue.solids) / (glue + water)).toBeCloseTo(0.27, 12)
  })
  it('have more paint than conditioner for a pearl base', () => {
    const { medium, paint } = applySchool(school('pearl-base'), drawer)
    expect(paint).toBeGreaterThan(medium - 0.2)
  })
  it('name what is not in the drawer, and take the rest', () => {
    const applied = applySchool(school('glue'), drawer.slice(0, 1))
    expect(applied.missing).toEqual(['glue'])
    expect(applied.mediums).toEqual([{ id: 'conditioner', parts: 1 }])
    // The others keep their parts: 8 of conditioner to 4 of paint, enamel or not.
    const white = applySchool(school('enamel-white'), drawer.slice(0, 1))
    expect(white).toMatchObject({ medium: 8, paint: 4, water: 0.5, missing: ['enamel or house paint'] })
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
