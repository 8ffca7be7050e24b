import type { Strength } from '../paint/properties'
import { chroma, hexToLab, hue, srgbToLab } from './lab'
import { mixToLab } from './mixColour'
import { opticsFromHex } from './paintOptics'
import * as spectral from 'spectral.js'
import { deltaE00 } from './deltaE00'
import { type Triple } from './srgb'

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

/** Paints every studio has, by masstone and strength class; colours invented. */
const PAINTS: Readonly<Record<string, readonly [hex: string, strength: Strength]>> = {
  white: ['#f6f4ee', 'normal'],
  black: ['#1c1b1d', 'strong'],
  'lemon yellow': ['#f4e03a', 'normal'],
  'warm yellow': ['#f2b814', 'normal'],
  orange: ['#e2711d', 'normal'],
  'warm red': ['#c22a2c', 'normal'],
  crimson: ['#9c1c3c', 'strong'],
  magenta: ['#b0246e', 'strong'],
  violet: ['#4a2a78', 'strong'],
  'warm blue': ['#2a3a94', 'normal'],
  'cool blue': ['#1d4e9e', 'strong'],
  turquoise: ['#159ab0', 'normal'],
  green: ['#2c7a44', 'normal'],
  ochre: ['#c08a2e', 'weak'],
  umber: ['#5a4028', 'normal'],
}

type Shift = 'lighter' | 'darker' | 'between'

/**
 * What two paints make, as every painter knows it (common practice, no published source): the hue, degrees from–to
 * going up, and where the lightness lies against the first paint.
 */
const MIXES: readonly (readonly [string, string, readonly [number, number], number, number, Shift])[] = [
  // green from yellow and blue
  ['lemon yellow', 'cool blue', [4, 1], 100, 190, 'darker'],
  ['lemon yellow', 'turquoise', [2, 1], 105, 190, 'darker'],
  ['warm yellow', 'turquoise', [3, 1], 95, 180, 'darker'],
  ['warm yellow', 'cool blue', [4, 1], 90, 190, 'darker'],
  ['lemon yellow', 'green', [1, 1], 100, 150, 'darker'],
  ['green', 'turquoise', [1, 1], 150, 225, 'between'],
  // orange from yellow and red
  ['lemon yellow', 'warm red', [2, 1], 30, 85, 'darker'],
  ['warm yellow', 'warm red', [1, 1], 30, 75, 'darker'],
  ['warm yellow', 'orange', [1, 1], 55, 84, 'darker'],
  ['orange', 'warm red', [1, 1], 32, 62, 'darker'],
  ['lemon yellow', 'magenta', [4, 1], 5, 80, 'darker'],
  // violet from red and blue
  ['crimson', 'warm blue', [1, 1], 290, 20, 'between'],
  ['magenta', 'warm blue', [1, 1], 295, 360, 'darker'],
  ['magenta', 'cool blue', [1, 1], 270, 360, 'between'],
  ['violet', 'magenta', [1, 1], 305, 5, 'lighter'],
  ['violet', 'cool blue', [1, 1], 275, 315, 'between'],
  // tints with white
  ['warm red', 'white', [1, 4], 0, 45, 'lighter'],
  ['crimson', 'white', [1, 6], 340, 30, 'lighter'],
  ['magenta', 'white', [1, 6], 325, 15, 'lighter'],
  ['violet', 'white', [1, 8], 285, 330, 'lighter'],
  ['warm blue', 'white', [1, 4], 260, 305, 'lighter'],
  ['cool blue', 'white', [1, 8], 230, 290, 'lighter'],
  ['turquoise', 'white', [1, 3], 195, 240, 'lighter'],
  ['green', 'white', [1, 3], 130, 175, 'lighter'],
  ['umber', 'white', [1, 3], 45, 90, 'lighter'],
  ['ochre', 'white', [1, 2], 65, 95, 'lighter'],
  // shades and broken colours
  ['warm yellow', 'black', [12, 1], 75, 135, 'darker'],
  ['warm red', 'black', [8, 1], 10, 50, 'darker'],
  ['warm red', 'umber', [1, 1], 20, 60, 'darker'],
  ['ochre', 'warm red', [3, 1], 25, 75, 'darker'],
]

const within = (h: number, from: number, to: number) => (from <= to ? h >= from && h <= to : h >= from || h <= to)

const optics = (name: string) => opticsFromHex(...(PAINTS[name] as [string, Strength]))

describe('thirty mixes every painter knows', () => {
  it('are thirty', () => expect(MIXES).toHaveLength(30))
  it.each(MIXES)('%s with %s, %j', (one, two, amounts, from, to, shift) => {
    const mix = mixToLab([optics(one), optics(two)], amounts)
    expect(within(hue(mix), from, to) ? 'in the range' : `hue ${hue(mix).toFixed(0)}`).toBe('in the range')
    const [la, lb] = [hexToLab(PAINTS[one]![0])[0], hexToLab(PAINTS[two]![0])[0]]
    if (shift === 'lighter') expect(mix[0]).toBeGreaterThan(la)
    if (shift === 'darker') expect(mix[0]).toBeLessThan(la)
    // No mix is lighter than the lighter of the two.
    expect(mix[0]).toBeLessThan(Math.max(la, lb))
  })
  it.each([
    ['violet', 'warm yellow'],
    ['warm red', 'green'],
    ['orange', 'cool blue'],
  ])('complements kill each other: %s and %s', (one, two) => {
    const mix = mixToLab([optics(one), optics(two)], [1, 1])
    const parents = (chroma(hexToLab(PAINTS[one]![0])) + chroma(hexToLab(PAINTS[two]![0]))) / 2
    expect(chroma(mix) / parents).toBeLessThan(0.5)
  })
})
