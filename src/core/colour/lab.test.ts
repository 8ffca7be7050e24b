import { deltaE76 } from '../../../tests/support/colour'
import Color from 'colorjs.io'
import { lab65, lch65, differenceEuclidean } from 'culori'
import { random } from '../../../tests/support/random'
import { deltaE00 } from './deltaE00'
import { hexToLab, labToLch, lchToLab } from './lab'
import { inMetric, localMetric } from './localMetric'
import { srgbToHex, type Triple } from './srgb'

const someHex = (next: () => number) => srgbToHex([next(), next(), next()])

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
