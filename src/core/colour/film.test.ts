import { opacityOf } from '../paint/contrastRatio'
import { BODIES, OPACITIES } from '../paint/properties'
import {
  CLASS_CONTRAST,
  FILM_THICKNESS,
  filmReflectance,
  hidingThickness,
  layeredReflectance,
  overCard,
  paintScatter,
  scatterFromContrast,
} from './film'
import { layerReflectance, mixReflectance, toInternal, toMeasured, withoutSpecular } from './kubelkaMunk'
import { BANDS } from './observer'
import { opticsFromHex } from './paintOptics'
import { packOptics, unpackOptics } from './packOptics'

const flat = (v: number) => new Float64Array(BANDS).fill(v)

describe('a finite film (Kubelka & Munk 1931, Kubelka 1948)', () => {
  it('keeps the limits of the theory', () => {
    // Without absorption, over black: SX / (1 + SX).
    for (const sx of [0.1, 1, 5]) expect(filmReflectance(0, sx, 1, 0)).toBeCloseTo(sx / (1 + sx), 9)
    // Without scattering, over a white of 1: e^(−2KX).
    expect(filmReflectance(0.7, 0, 1.5, 1)).toBeCloseTo(Math.exp(-2 * 0.7 * 1.5), 9)
    // Thick: R∞ whatever lies beneath.
    const [k, s] = [0.8, 0.5]
    const infinite = 1 + k / s - Math.sqrt((k / s) ** 2 + (2 * k) / s)
    for (const backing of [0, 0.5, 1]) expect(filmReflectance(k, s, 60, backing)).toBeCloseTo(infinite, 9)
    expect(toMeasured(infinite)).toBeCloseTo(layerReflectance(k, s), 12)
    // No film: what lies beneath. A film over its own R∞ changes nothing.
    expect(filmReflectance(k, s, 0, 0.3)).toBe(0.3)
    expect(filmReflectance(k, s, 1, infinite)).toBeCloseTo(infinite, 9)
  })
  it('two films of the same paint are one of their thickness together', () => {
    const twice = filmReflectance(0.4, 0.6, 2, filmReflectance(0.4, 0.6, 1, 0.1))
    expect(twice).toBeCloseTo(filmReflectance(0.4, 0.6, 3, 0.1), 9)
  })
  it('passes smoothly into its limits', () => {
    expect(filmReflectance(1e-10, 1, 2, 0.4)).toBeCloseTo(filmReflectance(1e-7, 1, 2, 0.4), 5)
    expect(filmReflectance(0.5, 1e-10, 2, 0.4)).toBeCloseTo(filmReflectance(0.5, 1e-6, 2, 0.4), 5)
  })
})

describe('Saunderson with an outside reflection (1942)', () => {
  it('0 is seen as k1, 1 as 1, and back', () => {
    expect(toMeasured(0, 0.6, 0.04)).toBeCloseTo(0.04, 12)
    expect(toMeasured(1, 0.6, 0.04)).toBeCloseTo(1, 12)
    for (const r of [0, 0.2, 0.9]) expect(toInternal(toMeasured(r, 0.6, 0.04), 0.6, 0.04)).toBeCloseTo(r, 12)
  })
  it('takes the outside reflection off a spectrum and keeps white white', () => {
    expect(withoutSpecular(1)).toBeCloseTo(1, 12)
    expect(withoutSpecular(0.05)).toBeLessThan(0.02)
    expect(withoutSpecular(0.03)).toBe(1e-4)
  })
})

describe('hiding', () => {
  const red = opticsFromHex('#b5302a', 'normal')
  it('rises with scattering and with thickness', () => {
    const ratio = (scatter: number, thickness = 7) => overCard({ optics: red, scatter, thickness }).contrastRatio
    expect(ratio(0.03)).toBeLessThan(ratio(0.12))
    expect(ratio(0.12)).toBeLessThan(ratio(0.4))
    expect(ratio(0.12, 3)).toBeLessThan(ratio(0.12, 9))
    expect(ratio(1)).toBeGreaterThan(0.98)
  })
  it('every class comes out as itself in a usual film, of white, black and colours, in every body', () => {
    for (const hex of ['#f6f4ee', '#b5302a', '#1d4e9e', '#f2b814', '#4a2a78', '#808080', '#0c0c0d', '#000000'])
      for (const opacity of OPACITIES)
        for (const body of BODIES) {
          const optics = opticsFromHex(hex, 'normal')
          const scatter = paintScatter({ optics, opacity, body })
          const { contrastRatio } = overCard({ optics, scatter, thickness: FILM_THICKNESS[body] })
          expect(contrastRatio).toBeCloseTo(CLASS_CONTRAST[opacity], 4)
          expect(opacityOf(contrastRatio)).toBe(opacity)
        }
  })
  it('the paint’s own contrast ratio stands before its class', () => {
    const scatter = paintScatter({ optics: red, opacity: 'transparent', body: 'soft', contrastRatio: 0.9 })
    expect(overCard({ optics: red, scatter, thickness: 7 }).contrastRatio).toBeCloseTo(0.9, 4)
    // What no film can be measured to have is not believed.
    expect(paintScatter({ optics: red, opacity: 'opaque', body: 'soft', contrastRatio: 1.2 })).toBe(
      paintScatter({ optics: red, opacity: 'opaque', body: 'soft' }),
    )
  })
  it('says from which thickness a film hides', () => {
    const film = { optics: red, scatter: 0.4, thickness: 1 }
    const hides = hidingThickness(film)!
    expect(overCard({ ...film, thickness: hides * 1.02 }).contrastRatio).toBeGreaterThanOrEqual(0.98)
    expect(overCard({ ...film, thickness: hides * 0.98 }).contrastRatio).toBeLessThan(0.98)
    expect(hidingThickness({ ...film, scatter: 1e-4 }, 1)).toBeUndefined()
  })
  it('finds the scattering behind a measured contrast ratio', () => {
    const { contrastRatio } = overCard({ optics: red, scatter: 0.21, thickness: 5 })
    expect(scatterFromContrast(red, 5, contrastRatio)).toBeCloseTo(0.21, 5)
    expect(scatterFromContrast(red, 5, 0.001)).toBeUndefined()
  })
})

describe('layers', () => {
  it('a transparent film lets the ground through, an opaque one does not; nothing over white is white', () => {
    const white = flat(0.9)
    const blue = opticsFromHex('#1d4e9e', 'strong')
    const top = (scatter: number, thickness: number) =>
      layeredReflectance([{ optics: blue, scatter, thickness }], white)
    layeredReflectance([], white).forEach((v) => expect(v).toBeCloseTo(0.9, 12))
    const opaque = mixReflectance([blue], [1])
    const far = (r: Float64Array) => Math.max(...r.map((v, i) => Math.abs(v - opaque[i]!)))
    expect(far(top(1, 60))).toBeLessThan(1e-3)
    expect(far(top(0.03, 2.5))).toBeGreaterThan(0.1)
  })
})

describe('packed optics', () => {
  it('come back to 32-bit floats', () => {
    const optics = opticsFromHex('#1f7a8c', 'strong')
    const text = packOptics(optics)
    // 2 × 36 floats of 4 bytes, in base 64.
    expect(text).toHaveLength((2 * 36 * 4 * 4) / 3)
    const back = unpackOptics(text)
    back.k.forEach((v, i) => expect(v).toBe(Math.fround(optics.k[i]!)))
    back.s.forEach((v, i) => expect(v).toBe(Math.fround(optics.s[i]!)))
  })
})
