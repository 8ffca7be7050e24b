import { rInfinity, reflectanceToLinear } from '../../../tests/support/colour'
import * as spectral from 'spectral.js'
import { kOverS, layerByK, layerReflectance, mixReflectance, toInternal, toMeasured } from './kubelkaMunk'
import { mixToHex, mixToLab } from './mixColour'
import { opticsFromHex } from './paintOptics'
import { srgbToHex, toGamma, type Triple } from './srgb'

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

describe('a mix against spectral.js where both assume the same: flat S, no surface', () => {
  it('has the same reflectance', () => {
    const [one, two] = [new spectral.Color('#1d4e9e'), new spectral.Color('#f2b814')]
    for (const share of [0.1, 0.5, 0.8]) {
      // It weighs a colour by luminance times the square of its factor; these factors make that the shares.
      const factors = [Math.sqrt(share / one.luminance), Math.sqrt((1 - share) / two.luminance)] as const
      const theirs = spectral.mix([one, factors[0]], [two, factors[1]]).R
      one.R.forEach((r, i) => {
        const q = share * kOverS(r) + (1 - share) * kOverS(two.R[i]!)
        expect(rInfinity(q)).toBeCloseTo(theirs[i]!, 9)
      })
    }
  })
})

describe('the slope of a layer', () => {
  it('is ∂R/∂K as differences have it, and finite where nothing is absorbed', () => {
    for (const [k, s] of [
      [0.02, 1],
      [0.5, 0.3],
      [4, 1.2],
    ] as const) {
      const h = 1e-6 * k
      const difference = (layerReflectance(k + h, s) - layerReflectance(k - h, s)) / (2 * h)
      expect(layerByK(k, s) / difference).toBeCloseTo(1, 6)
      // R hangs on K/S alone.
      const byS = (layerReflectance(k, s + 1e-6) - layerReflectance(k, s - 1e-6)) / 2e-6
      expect(k * layerByK(k, s) + s * byS).toBeCloseTo(0, 6)
    }
    expect(Number.isFinite(layerByK(0, 1))).toBe(true)
  })
})
