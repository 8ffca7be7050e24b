import { differenceCiede2000, lab65, rgb as culoriRgb } from 'culori'
import * as spectral from 'spectral.js'
import { random } from '../../../tests/support/random'
import { deltaE00, differenceInWords } from './deltaE00'
import { kOverS, mixReflectance, rInfinity, toInternal, toMeasured } from './kubelkaMunk'
import { chroma, hexToLab, hue, labToSrgb, srgbToLab } from './lab'
import { mixToHex, mixToLab } from './mixColour'
import { D65, W_Y, X_BAR, Y_BAR, Z_BAR } from './observer'
import { opticsFromHex } from './paintOptics'
import { reflectanceFromHex, reflectanceToLinear } from './reflectance'
import { hexToSrgb, srgbToHex, toGamma, type Triple } from './srgb'

const someHex = (next: () => number) => srgbToHex([next(), next(), next()])

// Sharma, Wu & Dalal, Color Res. Appl. 30 (2005), Table 1: L1 a1 b1 L2 a2 b2 ΔE00.
const SHARMA: readonly number[][] = [
  [50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425],
  [50, 3.1571, -77.2803, 50, 0, -82.7485, 2.8615],
  [50, 2.8361, -74.02, 50, 0, -82.7485, 3.4412],
  [50, -1.3802, -84.2814, 50, 0, -82.7485, 1],
  [50, -1.1848, -84.8006, 50, 0, -82.7485, 1],
  [50, -0.9009, -85.5211, 50, 0, -82.7485, 1],
  [50, 0, 0, 50, -1, 2, 2.3669],
  [50, -1, 2, 50, 0, 0, 2.3669],
  [50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.001, 7.1792],
  [50, 2.49, -0.001, 50, -2.49, 0.0011, 7.2195],
  [50, 2.49, -0.001, 50, -2.49, 0.0012, 7.2195],
  [50, -0.001, 2.49, 50, 0.0009, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.001, -2.49, 4.8045],
  [50, -0.001, 2.49, 50, 0.0011, -2.49, 4.7461],
  [50, 2.5, 0, 50, 0, -2.5, 4.3065],
  [50, 2.5, 0, 73, 25, -18, 27.1492],
  [50, 2.5, 0, 61, -5, 29, 22.8977],
  [50, 2.5, 0, 56, -27, -3, 31.903],
  [50, 2.5, 0, 58, 24, 15, 19.4535],
  [50, 2.5, 0, 50, 3.1736, 0.5854, 1],
  [50, 2.5, 0, 50, 3.2972, 0, 1],
  [50, 2.5, 0, 50, 1.8634, 0.5757, 1],
  [50, 2.5, 0, 50, 3.2592, 0.335, 1],
  [60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644],
  [63.0109, -31.0961, -5.8663, 62.8187, -29.7946, -4.0864, 1.263],
  [61.2901, 3.7196, -5.3901, 61.4292, 2.248, -4.962, 1.8731],
  [35.0831, -44.1164, 3.7933, 35.0232, -40.0716, 1.5901, 1.8645],
  [22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373],
  [36.4612, 47.858, 18.3852, 36.2715, 50.5065, 21.2231, 1.4146],
  [90.8027, -2.0831, 1.441, 91.1528, -1.6435, 0.0447, 1.4441],
  [90.9257, -0.5406, -0.9208, 88.6381, -0.8985, -0.7239, 1.5381],
  [6.7747, -0.2908, -2.4247, 5.8714, -0.0985, -2.2286, 0.6377],
  [2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082],
]

describe('ΔE00', () => {
  it('has all 34 pairs of Sharma, Wu & Dalal to 4 decimals', () => {
    expect(SHARMA).toHaveLength(34)
    for (const [l1, a1, b1, l2, a2, b2, expected] of SHARMA as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ][]) {
      expect(deltaE00([l1, a1, b1], [l2, a2, b2])).toBeCloseTo(expected, 4)
      expect(deltaE00([l2, a2, b2], [l1, a1, b1])).toBeCloseTo(expected, 4)
    }
  })
  it('agrees with culori on random colours', () => {
    const next = random(7)
    const reference = differenceCiede2000()
    for (let i = 0; i < 2000; i++) {
      const [one, two] = [someHex(next), someHex(next)]
      const [a, b] = [lab65(one)!, lab65(two)!]
      expect(deltaE00([a.l, a.a, a.b], [b.l, b.a, b.b])).toBeCloseTo(reference(one, two), 4)
    }
  })
  it('is said in a maker’s words', () => {
    expect([0.4, 2, 5].map(differenceInWords)).toEqual(['cannot tell', 'side by side only', 'plain'])
  })
})

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

describe('Kubelka–Munk', () => {
  it('known values: K/S(0.5) = 0.25, K/S(0.1) = 4.05', () => {
    expect(kOverS(0.5)).toBeCloseTo(0.25, 12)
    expect(kOverS(0.1)).toBeCloseTo(4.05, 12)
    for (const r of [0.01, 0.2, 0.7]) expect(rInfinity(kOverS(r))).toBeCloseTo(r, 12)
  })
  it('Saunderson both ways, with fixed ends', () => {
    for (const r of [0.01, 0.3, 0.9]) expect(toMeasured(toInternal(r))).toBeCloseTo(r, 12)
    expect(toMeasured(0)).toBe(0)
    expect(toMeasured(1)).toBeCloseTo(1, 12)
    // k2 = 0.6 at R = 0.5: 0.5 / (0.4 + 0.3).
    expect(toInternal(0.5)).toBeCloseTo(0.5 / 0.7, 12)
  })
  it('a paint with itself is itself, whatever its strength', () => {
    for (const strength of ['weak', 'normal', 'very strong'] as const) {
      const paint = opticsFromHex('#b5302a', strength)
      expect(mixToHex([paint, paint], [1, 3])).toBe('#b5302a')
    }
  })
  it('is free of order and of scale', () => {
    const [a, b, c] = [
      opticsFromHex('#b5302a', 'normal'),
      opticsFromHex('#2449a8', 'strong'),
      opticsFromHex('#f4f1e8', 'normal'),
    ]
    expect(mixToLab([a, b, c], [1, 2, 3])).toEqual(mixToLab([a, b, c], [1, 2, 3]))
    mixToLab([c, a, b], [30, 10, 20]).forEach((v, i) => expect(v).toBeCloseTo(mixToLab([a, b, c], [1, 2, 3])[i]!, 9))
    const whole = reflectanceToLinear(mixReflectance([a, b, c], [1, 2, 3])).map((v) =>
      toGamma(Math.max(0, v)),
    ) as Triple
    expect(srgbToHex(whole)).toBe(mixToHex([a, b, c], [1, 2, 3]))
    expect(mixReflectance([a], [1])).toHaveLength(36)
    expect(mixToHex([a], [0])).toBeUndefined()
  })
})

describe('mixes every painter knows (common practice, no published source)', () => {
  const white = opticsFromHex('#f6f4ee', 'normal')
  const black = opticsFromHex('#1c1b1d', 'normal')
  const yellow = opticsFromHex('#f2c314', 'normal')
  const blue = opticsFromHex('#1d4e9e', 'strong')
  const red = opticsFromHex('#c22a2c', 'normal')
  const violet = opticsFromHex('#4a2a78', 'strong')
  it('blue and yellow make green', () => {
    const h = hue(mixToLab([blue, yellow], [1, 2]))
    expect(h).toBeGreaterThan(110)
    expect(h).toBeLessThan(200)
  })
  it('violet and yellow lose most of their chroma', () => {
    const kept =
      chroma(mixToLab([violet, yellow], [1, 1])) / ((chroma(hexToLab('#4a2a78')) + chroma(hexToLab('#f2c314'))) / 2)
    expect(kept).toBeLessThan(0.5)
  })
  it('white and red make pink: lighter, and still red', () => {
    const mix = mixToLab([red, white], [1, 3])
    expect(mix[0]).toBeGreaterThan(hexToLab('#c22a2c')[0] + 10)
    expect(Math.min(hue(mix), 360 - hue(mix))).toBeLessThan(40)
  })
  it('one part of strong blue plainly tints a hundred of white', () => {
    const tint = mixToLab([blue, white], [1, 99])
    expect(deltaE00(tint, hexToLab('#f6f4ee'))).toBeGreaterThan(5)
    expect(hue(tint)).toBeGreaterThan(220)
  })
  it('black darkens, and a stronger class darkens more', () => {
    const light = mixToLab([black, white], [1, 9])[0]
    expect(light).toBeLessThan(85)
    expect(mixToLab([opticsFromHex('#1c1b1d', 'very strong'), white], [1, 9])[0]).toBeLessThan(light)
  })
  // spectral.js weighs a paint by its luminance and Fika by its strength: amounts differ, the way the hue goes must not.
  it.each([
    ['#1d4e9e', '#f2c314', 85, 280],
    ['#c22a2c', '#f2c314', 30, 85],
    ['#c22a2c', '#f6f4ee', 5, 40],
    ['#1d4e9e', '#f6f4ee', 235, 290],
  ])('%s with %s goes the way of spectral.js', (a, b, from, to) => {
    const reference = spectral.mix([new spectral.Color(a), 1], [new spectral.Color(b), 1])
    const theirs = srgbToLab(reference.sRGB.map((v) => v / 255) as Triple)
    const ours = mixToLab([opticsFromHex(a, 'normal'), opticsFromHex(b, 'normal')], [1, 1])
    for (const lab of [ours, theirs]) {
      expect(hue(lab)).toBeGreaterThan(from)
      expect(hue(lab)).toBeLessThan(to)
      expect(lab[0]).toBeGreaterThan(Math.min(hexToLab(a)[0], hexToLab(b)[0]) - 5)
      expect(lab[0]).toBeLessThan(Math.max(hexToLab(a)[0], hexToLab(b)[0]))
    }
  })
})
