import { reflectanceToLinear } from '../../../tests/support/colour'
import { random } from '../../../tests/support/random'
import { reflectanceFromHex } from './reflectance'
import { srgbToHex, toGamma, type Triple, hexToSrgb } from './srgb'

const someHex = (next: () => number) => srgbToHex([next(), next(), next()])

describe('reflectance from a swatch', () => {
  it('gives the colour back to 1/255 for random colours and for the corners of the gamut', () => {
    const next = random(11)
    const corners = ['#000000', '#ffffff', '#ff0000', '#00ff00', '#0000ff', '#ffff00', '#00ffff', '#ff00ff', '#808080']
    for (const hex of [...corners, ...Array.from({ length: 400 }, () => someHex(next))]) {
      const back = reflectanceToLinear(reflectanceFromHex(hex)).map((c) => toGamma(Math.max(0, c))) as Triple
      hexToSrgb(hex).forEach((c, k) => expect(Math.abs(c - Math.min(1, back[k]!)) * 255).toBeLessThan(1))
    }
  })
  it('is physical and smooth for a paint', () => {
    const r = reflectanceFromHex('#1f7a8c')
    expect(Math.min(...r)).toBeGreaterThan(0)
    expect(Math.max(...r)).toBeLessThanOrEqual(1)
    for (let i = 1; i < r.length; i++) expect(Math.abs(r[i]! - r[i - 1]!)).toBeLessThan(0.1)
  })
})

describe('sRGB → spectrum → sRGB', () => {
  it('is exact for 10,000 random colours', () => {
    const next = random(1931)
    const changed: string[] = []
    for (let i = 0; i < 10_000; i++) {
      const hex = someHex(next)
      const linear = reflectanceToLinear(reflectanceFromHex(hex))
      const back = srgbToHex(linear.map((c) => toGamma(Math.max(0, c))) as Triple)
      if (back !== hex) changed.push(`${hex} → ${back}`)
    }
    expect(changed).toEqual([])
  })
})
