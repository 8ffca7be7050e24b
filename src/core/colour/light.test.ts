import Color from 'colorjs.io'
import { lab65, lch65, differenceEuclidean } from 'culori'
import { random } from '../../../tests/support/random'
import { inventPigments } from '../../../tests/support/pigments'
import { deltaE00 } from './deltaE00'
import { inScreenGamut, showOnScreen } from './gamut'
import { ILLUMINANT, whitePoint } from './illuminant'
import { chroma, deltaE76, hexToLab, hue, labToLch, lchToLab } from './lab'
import { inMetric, localMetric } from './localMetric'
import { labUnder, metamerismIndex } from './metamerism'
import { mixReflectance } from './kubelkaMunk'
import { reflectanceFromHex, reflectanceToLinear } from './reflectance'
import { srgbToHex, toGamma, type Triple } from './srgb'

const someHex = (next: () => number) => srgbToHex([next(), next(), next()])

describe('illuminants', () => {
  // ASTM E308, 2° observer: white points of A and D65, 5 or 10 nm tables over 360–780 nm.
  it.each([
    ['D65', 95.047, 108.883],
    ['A', 109.85, 35.585],
  ] as const)('%s has the white point of ASTM E308', (name, x, z) => {
    const [ours, y, theirs] = whitePoint(name)
    expect(y).toBe(1)
    expect(Math.abs(100 * ours - x)).toBeLessThan(0.1)
    expect(Math.abs(100 * theirs - z)).toBeLessThan(0.1)
  })
  it('A falls as a 2856 K radiator: CIE 015 lists 9.80 at 380, 100 at 560 and 209.40 at 730 nm (from memory)', () => {
    const at = (nm: number) => ILLUMINANT.A.power[(nm - 380) / 10]!
    expect(at(380)).toBeCloseTo(9.8, 1)
    expect(at(560)).toBeCloseTo(100, 9)
    expect(Math.abs(at(730) - 209.4)).toBeLessThan(8)
  })
  it('the LED is a neutral white near the Planckian locus, by McCamy’s formula (Color Res. Appl. 17, 1992)', () => {
    const [x, , z] = whitePoint('LED')
    const [cx, cy] = [x / (x + 1 + z), 1 / (x + 1 + z)]
    const n = (cx - 0.332) / (0.1858 - cy)
    const kelvin = 449 * n ** 3 + 3525 * n ** 2 + 6823.3 * n + 5520.33
    expect(kelvin).toBeGreaterThan(3600)
    expect(kelvin).toBeLessThan(4200)
  })
  it('a perfect white is white in every light, and a grey has no colour', () => {
    for (const light of ['D65', 'A', 'LED'] as const) {
      expect(labUnder(light, new Float64Array(36).fill(1))[0]).toBeCloseTo(100, 9)
      expect(chroma(labUnder(light, new Float64Array(36).fill(0.2)))).toBeLessThan(1e-9)
    }
  })
})

describe('metamerism', () => {
  it('is nothing for one and the same spectrum, and something for two that only match by day', () => {
    const pigments = inventPigments(12, random(2)).map((p) => p.optics)
    let seen = 0
    for (let i = 0; i < 11; i++) {
      const real = mixReflectance([pigments[i]!, pigments[i + 1]!], [1, 1])
      const hex = showOnScreen(labUnder('D65', real)).hex
      if (!inScreenGamut(labUnder('D65', real))) continue
      const rebuilt = reflectanceFromHex(hex)
      expect(metamerismIndex(real, real, 'A')).toBeCloseTo(0, 9)
      seen = Math.max(seen, metamerismIndex(real, rebuilt, 'A'), metamerismIndex(real, rebuilt, 'LED'))
    }
    expect(seen).toBeGreaterThan(0.5)
  })
  it('takes out what already differs by day', () => {
    const r = reflectanceFromHex('#6a7f52')
    const brighter = r.map((v) => Math.min(1, v * 1.1))
    expect(metamerismIndex(r, brighter, 'A')).toBeLessThan(0.05)
    expect(deltaE00(labUnder('A', r), labUnder('A', brighter))).toBeGreaterThan(1)
  })
})

describe('L*a*b*, LCh and ΔE against culori and colorjs.io on random colours', () => {
  const next = random(21)
  const hexes = Array.from({ length: 500 }, () => someHex(next))
  it('conversions', () => {
    for (const hex of hexes) {
      const ours = hexToLab(hex)
      const culori = lab65(hex)!
      const colorjs = new Color(hex).to('lab-d65').coords.map((v) => v ?? 0)
      ;[culori.l, culori.a, culori.b].forEach((v, k) => expect(ours[k]).toBeCloseTo(v, 1))
      colorjs.forEach((v, k) => expect(Math.abs(ours[k]! - Number(v))).toBeLessThan(0.05))
      const lch = labToLch(ours)
      const theirs = lch65(hex)!
      expect(lch[1]).toBeCloseTo(theirs.c, 1)
      if (theirs.c > 5) expect(Math.abs(((lch[2] - theirs.h! + 540) % 360) - 180)).toBeLessThan(0.5)
      lchToLab(lch).forEach((v, k) => expect(v).toBeCloseTo(ours[k]!, 9))
    }
  })
  it('ΔE00 and ΔE*ab', () => {
    const plain = differenceEuclidean('lab65')
    for (let i = 1; i < hexes.length; i++) {
      const [one, two] = [hexToLab(hexes[i - 1]!), hexToLab(hexes[i]!)]
      // Its ΔE00 reads the space called “lab”; the formula only sees the three numbers.
      const as = (lab: Triple) => new Color('lab', lab)
      expect(deltaE00(one, two)).toBeCloseTo(as(one).deltaE(as(two), '2000'), 4)
      expect(deltaE76(one, two)).toBeCloseTo(plain(hexes[i - 1]!, hexes[i]!), 1)
    }
  })
  it('near one colour ΔE00 is the length of a step in its metric', () => {
    for (const hex of hexes.slice(0, 200)) {
      const lab = hexToLab(hex)
      const d = [0.02 * (next() - 0.5), 0.02 * (next() - 0.5), 0.02 * (next() - 0.5)] as Triple
      const step = lab.map((v, k) => v + d[k]!) as Triple
      const exact = deltaE00(lab, step)
      expect(Math.abs(Math.hypot(...inMetric(localMetric(lab), d)) - exact)).toBeLessThan(0.03 * exact + 2e-4)
    }
  })
})

describe('what a screen can show', () => {
  it('stays as it is inside, and gives up chroma alone outside', () => {
    expect(showOnScreen(hexToLab('#1f7a8c'))).toMatchObject({ hex: '#1f7a8c', clipped: false })
    const wild: Triple = [50, 0, -120]
    const shown = showOnScreen(wild)
    expect(shown.clipped).toBe(true)
    expect(shown.lab[0]).toBe(50)
    expect(hue(shown.lab)).toBeCloseTo(hue(wild), 6)
    expect(chroma(shown.lab)).toBeLessThan(chroma(wild))
    expect(chroma(shown.lab)).toBeGreaterThan(30)
    expect(inScreenGamut(shown.lab)).toBe(true)
    expect(deltaE00(hexToLab(shown.hex), shown.lab)).toBeLessThan(0.6)
    expect(showOnScreen([120, 0, 0]).hex).toBe('#ffffff')
    expect(showOnScreen([-5, 3, 3]).hex).toBe('#000000')
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
