import { labUnder } from '../../../tests/support/colour'
import { ILLUMINANT, whitePoint } from './illuminant'
import { chroma } from './lab'

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
