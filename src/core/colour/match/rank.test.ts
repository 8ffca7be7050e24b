import { opticsFromHex } from '../paintOptics'
import { rank, type RankedPaint } from './rank'

const paint = (hex: string, more: Partial<RankedPaint> = {}): RankedPaint => ({
  optics: opticsFromHex(hex, 'normal'),
  opacity: 'opaque',
  body: 'soft',
  sheen: 'satin',
  pigments: [hex],
  perMl: 10,
  ...more,
})
const paints = [
  paint('#136a78'),
  paint('#f5f3ec'),
  paint('#1d4e9e', { pigments: ['PB15', 'PB29', 'PW6', 'PV23'] }),
  paint('#b08d3c', { sheen: 'metallic' }),
  paint('#4a2a78', { opacity: 'transparent', body: 'ink' }),
  paint('#c22a2c', { perMl: null }),
]
const whole = (set: number[], deltaE: number, parts = set.map(() => 1)) => ({ set, parts, deltaE })
const order = (list: ReturnType<typeof whole>[], wanted?: 'gloss' | 'satin') =>
  rank(list, paints, wanted).map((c) => c.set.join())

describe('candidates in the order a maker tries them', () => {
  it('nearness first, but not where the eye cannot tell', () => {
    expect(order([whole([0], 4), whole([0, 1, 5], 1)])[0]).toBe('0,1,5')
    expect(order([whole([0, 1, 2], 0.05), whole([0, 1], 0.4)])[0]).toBe('0,1')
  })
  it('then pigments, hiding, money and smaller parts', () => {
    expect(order([whole([2, 1], 0.4), whole([0, 1], 0.4)])[0]).toBe('0,1')
    expect(order([whole([4, 1], 0.4, [5, 1]), whole([0, 1], 0.4)])[0]).toBe('0,1')
    const dear = [...paints.slice(0, 2), paint('#136a79', { perMl: 40 })]
    expect(rank([whole([2], 0.4), whole([0], 0.4)], dear).map((c) => c.set[0])).toEqual([0, 2])
    expect(
      rank([whole([0, 1], 0.4, [9, 10]), whole([0, 2], 0.4, [1, 1])], [paints[0]!, paints[1]!, paints[1]!])[0]!.parts,
    ).toEqual([1, 1])
  })
  it('a measured contrast ratio stands before the class', () => {
    const thin = paint('#136a78', { contrastRatio: 0.6 })
    const [first, second] = rank([whole([0], 0.4), whole([1], 0.4)], [thin, paint('#136a78')])
    expect(first!.set).toEqual([1])
    expect(second!.contrastRatio).toBeCloseTo(0.6, 3)
  })
  it('flakes are no promise and come last, and the sheen that is wanted counts', () => {
    expect(order([whole([0, 3], 0.4), whole([0, 1], 0.9)])[0]).toBe('0,1')
    const [gold] = rank([whole([0, 3], 0.4)], paints)
    expect(gold).toMatchObject({ promise: false, sheen: 'metallic', perMl: 10 })
    const glossy = [paint('#136a78'), paint('#136a78', { sheen: 'gloss' })]
    expect(rank([whole([0], 0.5), whole([1], 0.5)], glossy, 'gloss')[0]!.set).toEqual([1])
  })
  it('of the same paints only the best, and no price where one is missing', () => {
    const list = rank([whole([0, 5], 0.6), whole([5, 0], 0.9)], paints)
    expect(list).toHaveLength(1)
    expect(list[0]).toMatchObject({ deltaE: 0.6, perMl: null })
  })
})
