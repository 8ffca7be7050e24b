import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { mixToHex } from '@/core/colour/mixColour'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { sureWords } from '@/core/colour/sureWords'
import type { Material } from '@/db/materials/mixable'
import { mixable } from '../../../../tests/support/mixable'
import { rowsFromAddress, targetFromAddress } from '../address'
import { hexOfParts, lookOfParts, textOfParts } from '../shown'
import { inUnit, formulaView } from './deskDraft'

const material = (id: string, hex: string, more: Partial<Material> = {}) =>
  mixable(id, { hex, sigma: 0.05, known: 'tint and shade', densityGPerMl: 1.25, priceMinor: 600, ...more })
const paints = new Map(
  [
    material('blue', '#1d4e9e'),
    material('white', '#f5f3ec', { priceMinor: 300 }),
    material('gold', '#b08d3c', { sheen: 'metallic', priceMinor: null }),
  ].map((m) => [m.id, m]),
)
const rows = (blue: string, white: string) => [
  { id: 'blue', amount: blue },
  { id: 'white', amount: white },
]

describe('a formula from what is typed', () => {
  it('works out colour, share, volume and cost', () => {
    const v = formulaView(rows('1', '3'), 'parts', 80_000, paints)
    expect(v.prediction!.hex).toBe(
      mixToHex([opticsFromHex('#1d4e9e', 'normal'), opticsFromHex('#f5f3ec', 'normal')], [1, 3]),
    )
    expect(v.used.map((u) => [u.share, u.ul])).toEqual([
      [0.25, 20_000],
      [0.75, 60_000],
    ])
    // 0.25 × 10 + 0.75 × 5 minor a ml.
    expect(v.perMl).toBeCloseTo(6.25, 9)
    expect(v.used[0]!.oneMl).toBeGreaterThan(v.used[0]!.oneDrop)
    expect(v.steps.reduce((s, x) => s + x.ul, 0)).toBe(80_000)
  })
  it('reads drops, ml and g as volumes of their own, and goes from one unit to another', () => {
    const ml = formulaView(rows('20', '1 1/2'), 'ml', 0, paints)
    expect(ml.batchUl).toBe(21_500)
    expect(formulaView(rows('400', '30'), 'drops', 0, paints, 1, 50).used.map((u) => u.ul)).toEqual([20_000, 1_500])
    // Paint falls in smaller drops than water.
    expect(formulaView(rows('10', '1'), 'drops', 0, paints).used.map((u) => u.ul)).toEqual([300, 30])
    expect(formulaView(rows('25', '1.875'), 'g', 0, paints).used.map((u) => u.ul)).toEqual([20_000, 1_500])
    expect(inUnit(ml, 'drops', 50)).toEqual(rows('400', '30'))
    expect(inUnit(ml, 'g')).toEqual(rows('25', '1.88'))
    expect(inUnit(formulaView(rows('40', '10'), 'ml', 0, paints), 'parts')).toEqual(rows('4', '1'))
  })
  it('says what it cannot read, names no price where one is missing, and shows nothing of nothing', () => {
    expect(formulaView(rows('some', '1'), 'parts', 1000, paints).problems).toEqual([
      '“some” is not an amount of blue. Type it like 2 or 1/2.',
    ])
    expect(formulaView([...rows('1', '1'), { id: 'blue', amount: '2' }], 'parts', 1000, paints).problems[0]).toMatch(
      'named twice',
    )
    expect(formulaView([{ id: 'gold', amount: '1' }], 'parts', 1000, paints).perMl).toBeNull()
    expect(formulaView(rows('', '0'), 'parts', 1000, paints)).toMatchObject({
      used: [],
      prediction: undefined,
      problems: [],
    })
    expect(formulaView([{ id: 'gone', amount: '1' }], 'parts', 1000, paints).used).toEqual([])
  })
  it('says how sure it is in a sentence, and what to paint out next', () => {
    const words = (more: Partial<Material>) => {
      const own = new Map([...paints, ['blue', material('blue', '#1d4e9e', more)]] as const)
      const v = formulaView(rows('1', '3'), 'parts', 80_000, own)
      return sureWords(
        v.prediction!,
        v.used.map((u) => u.material.name),
      )
    }
    expect(words({}).next).toBeNull()
    expect(words({}).how).toMatch(/^calibrated, ±.\d\.\d$/)
    expect(words({ sigma: null, known: null })).toMatchObject({ next: expect.stringContaining('10 % tint of blue') })
    expect(words({ sigma: 0.5, known: 'tint' }).next).toContain('blue with 20 % black')
    expect(words({ sheen: 'glitter' }).how).toMatch('no promise: flakes')
  })
})

describe('a formula from an address, and as it is shown', () => {
  it('takes what is in the studio, with whole or broken parts, and refuses the rest', () => {
    expect(rowsFromAddress({ paints: 'blue,gone,white', parts: '3,1,x' }, paints)).toEqual(rows('3', '1'))
    expect(rowsFromAddress({}, paints)).toEqual([])
    expect(targetFromAddress('1F7a8c')).toMatchObject({ hex: '#1f7a8c' })
    expect(targetFromAddress('teal')).toBeUndefined()
  })
  it('names paints that were put away, and draws by the paint there is most of', () => {
    const parts = [
      { paintId: 'blue', parts: 1 },
      { paintId: 'gold', parts: 3 },
      { paintId: 'gone', parts: 9 },
    ]
    expect(textOfParts(parts, paints)).toBe('blue 1 : gold 3 : a paint put away 9')
    expect(lookOfParts(parts, paints)).toMatchObject({ sheen: 'metallic', body: 'soft' })
    expect(hexOfParts([{ paintId: 'gone', parts: 1 }], paints)).toBe('#9a9a9a')
    expect(deltaE00(hexToLab(hexOfParts([{ paintId: 'blue', parts: 2 }], paints)), hexToLab('#1d4e9e'))).toBeLessThan(
      0.5,
    )
  })
})
