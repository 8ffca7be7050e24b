import type { Material } from '@/db/materials/mixable'
import { mixable } from '../../../tests/support/mixable'
import { usualSizeUl } from './bottleDraft'
import { benchView, type Draft } from './mixDraft'
import { PLAIN } from './start'

const material = (id: string, more: Partial<Material>) => mixable(id, { priceMinor: 990, ...more })
const materials = new Map(
  [
    material('teal', {}),
    material('white', { hex: '#f6f4ee', body: 'craft', onHandUl: 20_000 }),
    material('flow', {
      kind: 'medium',
      body: null,
      hex: null,
      strength: null,
      solids: 0.3,
      priceMinor: 1800,
      containerUl: 1_000_000,
    }),
    material('water', {
      kind: 'water',
      body: null,
      hex: null,
      solids: 0,
      waterShare: 1,
      priceMinor: 0,
      containerUl: 1_000_000,
      densityGPerMl: 0.998,
    }),
    material('oil', {
      kind: 'additive',
      body: null,
      hex: null,
      solids: 1,
      priceMinor: 500,
      containerUl: 10_000,
      onHandUl: 40,
      densityGPerMl: 0.96,
    }),
  ].map((m) => [m.id, m]),
)
const draft: Draft = {
  paints: [{ id: 'teal', parts: '1' }],
  mediums: [{ id: 'flow', parts: '1' }],
  ratio: '',
  waterId: 'water',
  waterParts: '',
  ...PLAIN,
  total: '300 ml',
}
const view = (change: Partial<Draft>) => benchView({ ...draft, ...change }, materials, 'metric', { school: 'paint-30' })

describe('the bench from what is typed', () => {
  it('takes the house ratio of the body there is most of', () => {
    expect(view({}).lines.map((l) => l.targetUl)).toEqual([100_000, 200_000])
    const craft = view({
      paints: [
        { id: 'teal', parts: '1' },
        { id: 'white', parts: '3' },
      ],
    })
    expect(craft.houseRatio).toBe('1 : 1')
    expect(craft.lines.map((l) => l.targetUl)).toEqual([37_500, 112_500, 150_000])
    expect(craft.short).toEqual([{ material: materials.get('white'), lackUl: 92_500 }])
  })
  it('rescales what is left after an overshoot read off the scale', () => {
    // 132 g at 1.2 g/ml = 110 ml of 100.
    const v = view({ poured: { teal: '132 g' } })
    expect(v.lines.map((l) => l.targetUl)).toEqual([110_000, 220_000])
    expect(v.extraUl).toBe(30_000)
    // 110 ml × 9.90 / 60 ml + 220 ml × 18.00 / 1 l = 18.15 + 3.96.
    expect(v.cost.minor).toBeCloseTo(2211, 9)
  })
  it('judges the water in it and shows the mixed colour', () => {
    const v = view({ waterParts: '1/2' })
    expect(v.lines.map((l) => l.targetUl)).toEqual([85_714, 171_429, 42_857])
    expect(v.water).toMatchObject({ school: 'paint-30', within: true, waterUl: 42_857 })
    expect(v.colour).toMatchObject({ hex: '#1f6f8b', how: expect.stringMatching(/^(an estimate|calibrated), ±.\d/) })
  })
  it('says what it cannot read, and keeps the rest', () => {
    expect(view({ total: 'a jug' }).problems[0]).toMatch('“a jug” is not an amount')
    expect(view({ ratio: '3' }).problems[0]).toMatch('has one part only')
    expect(view({ paints: [{ id: 'teal', parts: 'x' }] }).problems[0]).toMatch('“x” is not a number of parts')
    expect(view({ paints: [], mediums: [] }).recipe).toBeUndefined()
  })
  it('has the drops of an additive within its total, its cost and what is short, as any line', () => {
    const v = view({ total: '240 ml', drops: [{ id: 'oil', parts: '2' }] })
    expect(v.lines.map((l) => [l.materialId, l.targetUl])).toEqual([
      ['teal', 79_975],
      ['flow', 159_950],
      ['oil', 75],
    ])
    // So it fits the bottle of 240 ml that is offered for it.
    expect(v.totalUl).toBe(240_000)
    expect(usualSizeUl(v.totalUl)).toBe(240_000)
    expect(v.drops).toEqual([{ materialId: 'oil', parts: 2 }])
    const bare = view({ total: '239.925 ml' })
    expect(v.cost.minor - bare.cost.minor).toBeCloseTo((75 * 500) / 10_000, 0)
    expect(v.short).toEqual([{ material: materials.get('oil'), lackUl: 35 }])
    // An additive bears water as a medium does, so a mix at its limit has room for a little more.
    expect(v.water!.roomUl).toBeGreaterThan(0)
  })
  it('reads what was really dropped in, and says what cannot be read', () => {
    const more = view({ total: '240 ml', drops: [{ id: 'oil', parts: '2' }], poured: { oil: '9 drops' } })
    expect(more.lines.at(-1)).toMatchObject({ targetUl: 135, pouredUl: 135 })
    expect(more.totalUl).toBe(240_060)
    expect(view({ drops: [{ id: 'oil', parts: 'some' }] }).problems.join()).toMatch('“some” is not a number')
    expect(view({ drops: [{ id: 'oil', parts: '2' }], poured: { oil: 'a few' } }).problems).toHaveLength(1)
    // Twice the paint went in: twice the drops go in.
    const grown = view({ total: '240 ml', drops: [{ id: 'oil', parts: '2' }], poured: { teal: '160 ml' } })
    expect(grown.lines.at(-1)!.targetUl).toBe(150)
  })
})
