import type { Sheen } from '../paint/properties'
import { hexToLab } from './lab'
import { pairMix } from './mud'
import { opticsFromHex } from './paintOptics'

describe('two paints that run into each other', () => {
  const of = (hex: string, sheen: Sheen = 'satin') => ({
    optics: opticsFromHex(hex, 'normal'),
    lab: hexToLab(hex),
    sheen,
  })
  // Common practice, no published source.
  it('violet and yellow make mud; neighbours on the circle, or anything with white, do not', () => {
    expect(pairMix(of('#6a2c91'), of('#f4dc3a')).muddy).toBe(true)
    expect(pairMix(of('#f4dc3a'), of('#d9561f')).muddy).toBe(false)
    expect(pairMix(of('#1d4ba0'), of('#136a78')).muddy).toBe(false)
    expect(pairMix(of('#6a2c91'), of('#ffffff')).muddy).toBe(false)
  })
  it('flakes lie in a paint rather than colour it: a metallic makes no mud', () => {
    expect(pairMix(of('#6a2c91'), of('#f4dc3a', 'metallic')).muddy).toBe(false)
    expect(pairMix(of('#6a2c91', 'pearl'), of('#f4dc3a')).muddy).toBe(false)
    expect(pairMix(of('#6a2c91', 'fluorescent'), of('#f4dc3a', 'gloss')).muddy).toBe(true)
  })
  it('a paint with itself keeps its colour', () => {
    const self = pairMix(of('#136a78'), of('#136a78'))
    expect(self.chromaKept).toBeCloseTo(1, 2)
    expect(self.hex).toBe('#136a78')
  })
})
