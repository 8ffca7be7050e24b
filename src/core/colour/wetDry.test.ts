import { hue, labToLch } from './lab'
import type { Triple } from './srgb'
import { dryOf, wetDryShift, wetOf, type WetDryPair } from './wetDry'

const lab: Triple = [50, 20, -30]

describe('from wet to dry', () => {
  it('starts from common practice: darker, more with milky mediums and more of them', () => {
    const of = (medium: Parameters<typeof wetDryShift>[1], share: number) => wetDryShift([], medium, share)
    expect(of(null, 0).darker).toBe(1.5)
    expect(of('glue', 0.6).darker).toBeGreaterThan(of('gloss medium', 0.6).darker)
    expect(of('glue', 0.6).darker).toBeGreaterThan(of('glue', 0.3).darker)
    expect(of('enamel or house paint', 0.5).darker).toBeLessThan(of('conditioner', 0.5).darker)
    expect(of('glue', 0.6)).toMatchObject({ chroma: 0, pairs: 0 })
  })
  it('goes there and back', () => {
    const shift = { darker: 4, chroma: 0.1, sigma: 1, pairs: 3 }
    const dry = dryOf(lab, shift)
    expect(dry[0]).toBe(46)
    expect(labToLch(dry)[1]).toBeCloseTo(labToLch(lab)[1] * Math.exp(0.1), 9)
    expect(hue(dry)).toBeCloseTo(hue(lab), 9)
    wetOf(dry, shift).forEach((v, k) => expect(v).toBeCloseTo(lab[k]!, 9))
  })
  it('is learned from the studio’s pairs of that medium, the more of them the surer', () => {
    const pair = (darker: number, share: number): WetDryPair => ({
      wet: lab,
      dry: dryOf(lab, { darker, chroma: 0.08, sigma: 0, pairs: 0 }),
      medium: 'conditioner',
      mediumShare: share,
    })
    // The truth of this studio: 1 + 9 × share.
    const many = [0.3, 0.4, 0.5, 0.6, 0.7].flatMap((s) => [
      pair(1 + 9 * s, s),
      pair(1.2 + 9 * s, s),
      pair(0.8 + 9 * s, s),
    ])
    const start = wetDryShift([], 'conditioner', 0.6)
    const learned = wetDryShift(many, 'conditioner', 0.6)
    expect(Math.abs(learned.darker - 6.4)).toBeLessThan(0.3)
    expect(Math.abs(learned.darker - 6.4)).toBeLessThan(Math.abs(start.darker - 6.4) / 3)
    expect(learned.chroma).toBeGreaterThan(0.05)
    expect(learned.sigma).toBeLessThan(start.sigma)
    expect(learned.pairs).toBe(15)
    // Says nothing of another medium.
    expect(wetDryShift(many, 'glue', 0.6).darker).toBe(wetDryShift([], 'glue', 0.6).darker)
  })
  it('a grey says nothing of chroma', () => {
    const grey: WetDryPair = { wet: [60, 1, 0], dry: [55, 3, 0], medium: null, mediumShare: 0 }
    expect(wetDryShift([grey], null, 0).chroma).toBe(0)
  })
})
