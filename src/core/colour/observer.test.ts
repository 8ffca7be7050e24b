import { lab65, rgb as culoriRgb } from 'culori'
import { random } from '../../../tests/support/random'
import { chroma, hexToLab, hue, labToSrgb } from './lab'
import { D65, W_Y, X_BAR, Y_BAR, Z_BAR } from './observer'
import { hexToSrgb, srgbToHex } from './srgb'

const someHex = (next: () => number) => srgbToHex([next(), next(), next()])

describe('observer and conversions', () => {
  it('has the table’s sums, and a white point as ASTM E308', () => {
    // Equal-energy white: the three functions have equal area.
    const sum = (v: Float64Array) => v.reduce((a, b) => a + b, 0)
    expect(sum(X_BAR)).toBeCloseTo(10.68, 1)
    expect(Math.abs(sum(X_BAR) - sum(Y_BAR)) / sum(Y_BAR)).toBeLessThan(0.002)
    expect(Math.abs(sum(Z_BAR) - sum(Y_BAR)) / sum(Y_BAR)).toBeLessThan(0.002)
    const dot = (bar: Float64Array) => bar.reduce((a, b, i) => a + b * D65[i]!, 0)
    const y = dot(Y_BAR)
    // ASTM E308, D65, 2° observer, 10 nm: 95.047, 100, 108.883.
    expect((100 * dot(X_BAR)) / y).toBeCloseTo(95.047, 0)
    expect((100 * dot(Z_BAR)) / y).toBeCloseTo(108.883, 0)
    expect(sum(W_Y)).toBeCloseTo(1, 12)
  })
  it('agrees with culori on random colours, both ways', () => {
    const next = random(3)
    for (let i = 0; i < 1000; i++) {
      const hex = someHex(next)
      const ours = hexToLab(hex)
      const reference = lab65(hex)!
      expect(ours[0]).toBeCloseTo(reference.l, 2)
      expect(ours[1]).toBeCloseTo(reference.a, 1)
      expect(ours[2]).toBeCloseTo(reference.b, 1)
      expect(srgbToHex(labToSrgb(ours))).toBe(hex)
      const back = culoriRgb({ mode: 'lab65', l: ours[0], a: ours[1], b: ours[2] })
      hexToSrgb(hex).forEach((c, k) => expect(c).toBeCloseTo([back.r, back.g, back.b][k]!, 2))
    }
  })
  it('knows hue and chroma', () => {
    expect(hue([50, 0, 10])).toBeCloseTo(90, 9)
    expect(hue([50, 0, -10])).toBeCloseTo(270, 9)
    expect(chroma([50, 3, 4])).toBe(5)
  })
  it('refuses what is not a colour', () => expect(() => hexToSrgb('teal')).toThrow('is not a colour'))
})
