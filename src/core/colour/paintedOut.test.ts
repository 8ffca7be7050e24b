import { deltaE00 } from './deltaE00'
import { calibrate } from './calibrate'
import { hexToLab } from './lab'
import { mixReflectance, type Optics } from './kubelkaMunk'
import { mixToLab } from './mixColour'
import {
  hexOfReflectance,
  knownOf,
  paintedOut,
  spectrumOf,
  STANDARD_BLACK,
  STANDARD_WHITE,
  STANDARDS,
  toCalibrate,
  type PaintSwatches,
} from './paintedOut'
import { opticsFromHex } from './paintOptics'

const none = { masstone: null, tint: null, shade: null }
const paint = (more: Partial<PaintSwatches> = {}): PaintSwatches => ({
  id: 'p',
  swatchHex: '#1d4e9e',
  strength: 'normal',
  tintHex: null,
  tintWhiteShare: null,
  shadeHex: null,
  shadeBlackShare: null,
  readings: none,
  paintedWith: { whiteId: null, blackId: null },
  ...more,
})
// The truth: twice as strong as a paint of its class.
const usual = opticsFromHex('#1d4e9e', 'normal')
const truth = { k: usual.k.map((v) => 2 * v), s: usual.s.map((v) => 2 * v) }
const tint = mixReflectance([truth, STANDARD_WHITE.optics], [1, 9])
const shade = mixReflectance([truth, STANDARD_BLACK.optics], [4, 1])

describe('a paint’s swatches as measurements', () => {
  it('a spectrum counts while it is the colour of the swatch; a colour typed later puts it aside', () => {
    const read = [...mixReflectance([truth], [1])]
    expect(hexOfReflectance(read)).toBe('#1d4e9e')
    expect(spectrumOf('#1d4e9e', read).from).toBe('reading')
    expect(spectrumOf('#1D4E9E', read).from).toBe('reading')
    expect(spectrumOf('#1d4e9f', read).from).toBe('hex')
    expect(spectrumOf('#1d4e9e', read.slice(1)).from).toBe('hex')
    expect(spectrumOf('#1d4e9e', null).reflectance).toHaveLength(36)
    expect(toCalibrate(paint({ readings: { ...none, masstone: read } }))).toMatchObject({ id: 'p', from: 'reading' })
  })
  it('a tint stands against white and a shade against black, at their usual shares where none is given', () => {
    const [one, two] = paintedOut(
      paint({ tintHex: '#6d87bb', shadeHex: hexOfReflectance(shade), readings: { ...none, shade: [...shade] } }),
    )
    expect([one!.assumed, two!.assumed]).toEqual([true, true])
    expect(one!.parts).toEqual([
      { paintId: 'p', share: 1 - 0.9 },
      { paintId: STANDARD_WHITE.id, share: 0.9 },
    ])
    expect(two!.parts).toEqual([
      { paintId: 'p', share: 0.8 },
      { paintId: STANDARD_BLACK.id, share: 0.2 },
    ])
    expect(paintedOut(paint({ tintHex: '#6d87bb', tintWhiteShare: 0.5 }))[0]!.parts[1]!.share).toBe(0.5)
    expect(paintedOut(paint())).toEqual([])
  })
  it('stands against the white and the black it was made with, where they are named', () => {
    const paintedWith = { whiteId: 'w', blackId: 'b' }
    const mixes = paintedOut(paint({ tintHex: '#6d87bb', shadeHex: '#0c1d38', paintedWith }))
    expect(mixes.map((m) => [m.parts[1]!.paintId, m.assumed])).toEqual([
      ['w', false],
      ['b', false],
    ])
  })
  it('a shade nobody read in a black nobody named is left out, and does not count as known', () => {
    const guessed = paint({ tintHex: '#6d87bb', shadeHex: '#0c1d38' })
    expect(paintedOut(guessed)).toHaveLength(1)
    expect(knownOf(guessed, 0)).toBe('tint')
  })
  it('says in one word what is known', () => {
    const paintedWith = { whiteId: null, blackId: 'b' }
    const said = [{}, { tintHex: '#6d87bb' }, { shadeHex: '#0c1d38' }, { tintHex: '#6d87bb', shadeHex: '#0c1d38' }]
    expect(said.map((s) => knownOf(paint({ ...s, paintedWith }), 0))).toEqual([
      'masstone',
      'tint',
      'shade',
      'tint and shade',
    ])
    expect(knownOf(paint(), 2)).toBe('mixes')
  })
})

describe('what they teach', () => {
  const miss = (p: PaintSwatches) => {
    const known = calibrate([toCalibrate(p)], paintedOut(p), STANDARDS).get('p')!
    const mixed = (optics: Optics) => mixToLab([optics, STANDARD_WHITE.optics], [1, 20])
    return { off: deltaE00(mixed(known.optics), mixed(truth)), sigma: known.sigma }
  }
  it('a tint by eye tells the strength, one that was read tells it better, and both say so', () => {
    const byClass = miss(paint())
    const byEye = miss(paint({ tintHex: hexOfReflectance(tint) }))
    const read = miss(paint({ tintHex: hexOfReflectance(tint), readings: { ...none, tint: [...tint] } }))
    expect(byClass.off).toBeGreaterThan(4)
    expect(byEye.off).toBeLessThan(byClass.off / 4)
    expect(read.off).toBeLessThan(1)
    expect(byEye.sigma).toBeLessThan(byClass.sigma)
    expect(read.sigma).toBeLessThan(byEye.sigma)
  })
  it('a shade alone tells something too', () => {
    const byShade = miss(paint({ shadeHex: hexOfReflectance(shade), readings: { ...none, shade: [...shade] } }))
    expect(byShade.off).toBeLessThan(miss(paint()).off / 2)
    expect(hexToLab(hexOfReflectance(shade))[0]).toBeLessThan(hexToLab('#1d4e9e')[0])
  })
})
