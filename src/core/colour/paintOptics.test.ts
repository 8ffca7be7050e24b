import { calibrate } from './calibrate'
import { mixOptics, mixReflectance } from './kubelkaMunk'
import { chroma, hexToLab, xyzToLab } from './lab'
import { mixToHex, mixToLab } from './mixColour'
import { opticsFromHex, opticsFromMasstone } from './paintOptics'
import { predict } from './predict'
import { reflectanceFromHex, reflectanceToXyz } from './reflectance'

const white = opticsFromHex('#f5f3ec', 'normal')
const NEAR_BLACKS = ['#000000', '#000001', '#010000', '#000100', '#020103', '#050505', '#000300', '#04000a']

describe('black', () => {
  it('has optics, is drawn as what it is, and tints white nearly neutrally', () => {
    for (const hex of NEAR_BLACKS) {
      const optics = opticsFromHex(hex, 'strong')
      for (const v of [...optics.k, ...optics.s]) expect(v).toBeGreaterThan(0)
      expect(mixToHex([optics], [1])).toBe(hex)
      const [l, a, b] = mixToLab([optics, white], [1, 9])
      expect(l).toBeGreaterThan(20)
      expect(l).toBeLessThan(70)
      expect(Math.hypot(a, b)).toBeLessThan(5)
    }
  })
  it('a dark colour that is one keeps its tint', () => {
    for (const hex of ['#00003c', '#3c0000', '#1a0a2e'])
      expect(chroma(mixToLab([opticsFromHex(hex, 'strong'), white], [1, 9]))).toBeGreaterThan(12)
  })
  it('a black that is read as blue in its tint is blue from then on', () => {
    const black = {
      id: 'black',
      masstone: reflectanceFromHex('#000001'),
      lab: hexToLab('#000001'),
      strength: 'strong',
      from: 'hex',
    } as const
    const tint = {
      parts: [
        { paintId: 'black', share: 0.1 },
        { paintId: 'white', share: 0.9 },
      ],
      reflectance: reflectanceFromHex('#5a6f9a'),
      from: 'hex',
    } as const
    const known = calibrate([black], [tint], new Map([['white', white]])).get('black')!
    expect(mixToLab([known.optics, white], [1, 9])[2]).toBeLessThan(-12)
    for (const v of [known.sigma, known.fit!, ...known.optics.k, ...known.optics.s]) expect(v).toBeGreaterThan(0)
  })
  it('is predicted, and a band at nothing or below it is none less', () => {
    const optics = opticsFromHex('#000000', 'strong')
    const paint = {
      optics,
      opacity: 'opaque',
      body: 'soft',
      sheen: 'matte',
      sigma: 0.7,
      known: 'masstone',
    } as const
    const seen = predict([paint], [1])
    expect(seen.hex).toBe('#000000')
    expect(seen.overWhite).toMatch(/^#[0-9a-f]{6}$/)
    expect(seen.contrastRatio).toBeGreaterThan(0.9)
    const read = Float64Array.from({ length: 36 }, (_, i) => (i % 3 === 0 ? -0.002 : i % 3 === 1 ? 0 : 0.004))
    const fromReading = opticsFromMasstone(read, xyzToLab(reflectanceToXyz(read)), 'strong', 'reading')
    for (const v of mixReflectance([fromReading, white], [1, 5])) expect(v).toBeGreaterThan(0)
    for (const v of mixOptics([fromReading], [1]).k) expect(Number.isFinite(v)).toBe(true)
  })
})
