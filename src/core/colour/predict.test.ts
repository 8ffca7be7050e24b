import type { Sheen } from '../paint/properties'
import { isNoPromise, sheenOfMix, sheenShares } from '../paint/sheenOfMix'
import { deltaE00 } from './deltaE00'
import { hexToLab } from './lab'
import { mixToHex, mixToLab } from './mixColour'
import { opticsFromHex } from './paintOptics'
import { byOneDrop, predict, pulls, sureOf, type FormulaPaint } from './predict'

const paint = (hex: string, more: Partial<FormulaPaint> = {}): FormulaPaint => ({
  optics: opticsFromHex(hex, 'normal'),
  opacity: 'opaque',
  body: 'fluid',
  sheen: 'satin',
  sigma: 0.06,
  known: 'tint and shade',
  ...more,
})
const blue = paint('#1d4e9e')
const white = paint('#f6f4ee', { sigma: 0.1 })

describe('what a formula looks like', () => {
  it('is the colour of the mix, and over a card shows how it hides', () => {
    const p = predict([blue, white], [1, 3])
    expect(p.hex).toBe(mixToHex([blue.optics, white.optics], [1, 3]))
    expect(p.contrastRatio).toBeGreaterThan(0.95)
    const thin = predict(
      [
        { ...blue, opacity: 'transparent' },
        { ...white, opacity: 'transparent' },
      ],
      [1, 3],
      0.5,
    )
    expect(thin.contrastRatio).toBeLessThan(0.6)
    expect(hexToLab(thin.overBlack)[0]).toBeLessThan(hexToLab(thin.overWhite)[0] - 20)
    expect(p.promise).toBe(true)
  })
  it('goes by a measured contrast ratio before the class, and says from which film it hides', () => {
    const clear = { ...blue, opacity: 'transparent' as const }
    const usual = predict([{ ...clear, body: 'soft', contrastRatio: 0.9 }], [1])
    expect(usual.contrastRatio).toBeCloseTo(0.9, 6)
    expect(usual.hidesAt!).toBeGreaterThan(1)
    expect(
      predict([{ ...clear, body: 'soft', contrastRatio: 0.9 }], [1], usual.hidesAt! * 1.01).contrastRatio,
    ).toBeGreaterThanOrEqual(0.98)
    expect(predict([blue], [1]).hidesAt!).toBeLessThan(1.1)
  })
  it('tracks flakes by volume: drawn from a tenth on, no promise from three hundredths on', () => {
    const gold = paint('#b08d3c', { sheen: 'metallic' })
    const of = (share: number) => predict([blue, gold], [1 - share, share])
    expect([of(0.02).promise, of(0.05).promise]).toEqual([true, false])
    expect([of(0.05).sheen, of(0.2).sheen]).toEqual(['satin', 'metallic'])
    expect(of(0.25).sheens).toEqual([
      { sheen: 'satin', share: 0.75 },
      { sheen: 'metallic', share: 0.25 },
    ])
    const many = (list: [Sheen, number][]) => sheenShares(list.map(([sheen, ul]) => ({ sheen, ul })))
    expect(
      sheenOfMix(
        many([
          ['pearl', 1],
          ['glitter', 2],
          ['gloss', 5],
        ]),
      ),
    ).toBe('glitter')
    // Two kinds of a little each are flakes together.
    const pearl = paint('#d8cfe0', { sheen: 'pearl' })
    const both = (share: number) => predict([blue, gold, pearl], [1 - 2 * share, share, share])
    expect([both(0.01).promise, both(0.02).promise]).toEqual([true, false])
    expect([both(0.04).sheen, both(0.06).sheen]).toEqual(['satin', 'metallic'])
    expect(sheenOfMix([])).toBe('satin')
    expect(isNoPromise(many([['gloss', 5]]))).toBe(false)
  })
})

describe('how sure it is', () => {
  const unknown = { sigma: 0.8, known: 'masstone' } as const
  it('is an estimate while a paint that matters is known by its masstone only, and asks for a tint of it', () => {
    const { sureness } = predict([{ ...blue, ...unknown }, white], [1, 4])
    expect(sureness.kind).toBe('estimate')
    expect(sureness.next).toEqual({ paint: 0, measure: 'tint' })
    expect(sureness.plusMinus).toBeGreaterThan(5)
  })
  it('a metallic nobody painted out is sure to three at best, and asked for', () => {
    const gold = paint('#b08d3c', { sheen: 'metallic', ...unknown })
    const { sureness } = predict([gold], [1])
    expect(sureness.plusMinus).toBeGreaterThanOrEqual(3)
    expect(sureness).toMatchObject({ kind: 'estimate', next: { paint: 0, measure: 'tint' } })
    expect(predict([{ ...gold, known: 'tint', sigma: 0.1 }], [1]).sureness.plusMinus).toBeLessThan(1)
  })
  it('is the same asked for by itself', () => {
    const { sureness, promise } = predict([blue, white], [1, 4])
    expect(sureOf([blue, white], [1, 4])).toEqual({ sureness, promise })
  })
  it('asks for a shade after a tint, and for the mix itself after both', () => {
    const of = (known: FormulaPaint['known']) => predict([{ ...blue, sigma: 0.3, known }, white], [1, 4]).sureness
    expect([of('masstone'), of('shade'), of('tint'), of('tint and shade')].map((s) => s.next?.measure)).toEqual([
      'tint',
      'tint',
      'shade',
      'mix',
    ])
    expect(of('tint').kind).toBe('calibrated')
  })
  it('a calibrated pair is sure to about its fit, a paint by itself to how well one can read', () => {
    const { sureness } = predict([blue, white], [1, 4])
    expect(sureness.plusMinus).toBeGreaterThan(0.4)
    expect(sureness.plusMinus).toBeLessThan(2.5)
    expect(predict([{ ...blue, ...unknown }], [1]).sureness).toEqual({ plusMinus: 0.4, kind: 'calibrated' })
  })
})

describe('what a little more of a paint does', () => {
  it('pull is the slope of the colour by the logarithm of the amount', () => {
    const optics = [blue.optics, white.optics]
    const [first] = pulls(optics, [1, 9])
    const up = deltaE00(mixToLab(optics, [1, 9]), mixToLab(optics, [1.01, 9]))
    expect(first! * Math.log(1.01)).toBeCloseTo(up, 2)
    expect(pulls(optics, [0, 9])[0]).toBe(0)
    expect(pulls([blue.optics], [3])[0]).toBeCloseTo(0, 9)
  })
  it('one drop more of the strong one counts for more in a small cup', () => {
    const optics = [blue.optics, white.optics]
    const drop = (batchUl: number, which = 0) => byOneDrop(optics, [1, 19], which, { batchUl, dropUl: 50 })
    expect(drop(10_000)).toBeGreaterThan(8 * drop(100_000))
    expect(drop(10_000)).toBeGreaterThan(3 * drop(10_000, 1))
    expect(drop(10_000)).toBeCloseTo(deltaE00(mixToLab(optics, [500, 9500]), mixToLab(optics, [550, 9500])), 9)
  })
})
